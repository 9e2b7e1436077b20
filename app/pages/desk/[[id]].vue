<script setup lang="ts">
import type SheetEditor from '~/components/desk/SheetEditor.vue'
import type { Remark } from '~~/core/script/remark'
import { titleOf } from '~~/core/session/title'
import { lastOnDesk, rememberOnDesk } from '~/desk/draft'
import type { ApiProblem } from '~/composables/api'

definePageMeta({ key: 'desk' })
const route = useRoute()
const desk = useDeskStore()
const athletes = useAthleteStore()
const problem = ref<ApiProblem | null>(null)
const isSending = ref(false)
const editor = useTemplateRef<InstanceType<typeof SheetEditor>>('editor')

async function openFor(id: string | undefined) {
  problem.value = null
  try {
    if (!athletes.isLoaded) await athletes.load().catch(() => {})
    if (id === 'new') {
      await navigateTo(`/desk/${crypto.randomUUID()}?new=1`, { replace: true })
      return
    }
    const wanted = id ?? lastOnDesk()
    if (!wanted) {
      await navigateTo('/desk/new', { replace: true })
      return
    }
    if (route.query.new) desk.begin(wanted)
    else await desk.open(wanted)
    rememberOnDesk(wanted)
    if (id !== wanted || route.query.new) history.replaceState(history.state, '', `/desk/${wanted}`)
  }
  catch (error) {
    problem.value = toldOf(error)
  }
}
watch(() => route.params.id, id => openFor(id as string | undefined))
await openFor(route.params.id as string | undefined)

const session = computed(() => desk.session)
const title = computed(() => session.value && desk.script.trim() !== '' ? titleOf(session.value) : 'New session')
const place = computed(() => {
  const kind = session.value?.place?.kind
  return [session.value?.sport, kind].filter(Boolean).join(' · ')
})
const unit = computed(() => session.value?.sport === 'multi' || session.value?.sport === undefined ? 'km' : (athletes.athlete.units ?? { run: 'km', ride: 'km', swim: 'm' })[session.value.sport] as 'km' | 'mi' | 'm')
const clockOf = (iso: string) => new Date(iso).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })
useHead({ title: () => `${title.value} · Desk · Agonis` })

function onLeave(event: BeforeUnloadEvent) {
  if (desk.keeping.state === 'nowhere') event.preventDefault()
}
onMounted(() => window.addEventListener('beforeunload', onLeave))
onBeforeUnmount(() => window.removeEventListener('beforeunload', onLeave))

async function toTheWrist() {
  if (!await desk.settleSave()) return
  isSending.value = true
}
const canSend = computed(() => (desk.reckoning?.flat.length ?? 0) > 0)
</script>

<template>
  <div v-if="problem" class="page">
    <h1>Desk</h1>
    <p class="said error" role="alert">{{ problem.problem }} <span class="faint">{{ problem.hint }}</span></p>
    <NuxtLink to="/desk/new">Begin a new session</NuxtLink>
  </div>
  <div v-else class="desk">
    <div class="left">
      <div class="top">
        <h1 data-test="title">{{ title }}</h1>
        <p class="faint">{{ place }}</p>
      </div>
      <DeskSheetEditor :key="desk.id" ref="editor" :script="desk.script" :rows="desk.rows" :places="desk.places" :remarks="desk.reading.remarks" @type="desk.type" />
      <DeskTwoSides v-if="desk.keeping.state === 'differs'" :mine="desk.script" :theirs="desk.keeping.theirs.script" @choose="desk.settle" />
      <div class="bar">
        <button class="act first" :disabled="!canSend" data-test="to-wrist" @click="toTheWrist">To the wrist</button>
        <NuxtLink class="act link" to="/desk/new">New session</NuxtLink>
        <span role="status" data-test="keeping">
          <span v-if="desk.keeping.state === 'there'" class="good">● kept, {{ clockOf(desk.keeping.at) }}</span>
          <span v-else-if="desk.keeping.state === 'here'" class="doubt">● kept here, {{ desk.keeping.why }}</span>
          <span v-else-if="desk.keeping.state === 'nowhere'" class="bad">● not kept: {{ desk.keeping.why }}</span>
          <span v-else-if="desk.keeping.state === 'differs'" class="bad">● both differ: choose</span>
          <span v-else class="faint">nothing written yet</span>
        </span>
      </div>
    </div>
    <DeskSideColumn
      :reckoning="desk.reckoning" :remarks="desk.reading.remarks" :known="desk.known" :hard="desk.hard" :unit="unit"
      @fix="(remark: Remark, replacement: string) => editor?.replace(remark, replacement)" @show="line => editor?.show(line)"
    />
    <WristSendPanel v-if="isSending" :session-id="desk.id" :title="title" @close="isSending = false" />
  </div>
</template>

<style scoped>
.desk { display: flex; height: 100%; }
.left { flex: 1; min-width: 0; display: flex; flex-direction: column; padding: 18px 0 0 22px; }
.top { padding-right: 22px; margin-bottom: 8px; }
.top h1 { overflow-wrap: anywhere; display: -webkit-box; -webkit-line-clamp: 2; -webkit-box-orient: vertical; overflow: hidden; padding-bottom: .12em; }
.top p { margin: 2px 0 0; }
.bar { border-top: 2px solid var(--slip); margin-left: -22px; padding: 8px 22px; display: flex; gap: 14px; align-items: center; flex-wrap: wrap; flex: none; background: var(--cream); }
.link { text-decoration: none; color: inherit; display: inline-flex; align-items: center; }
@media (max-width: 900px) { .desk { flex-direction: column; height: auto; min-height: 100%; } .left { padding-left: 12px; min-height: 70vh; } .bar { margin-left: -12px; padding: 8px 12px; position: sticky; bottom: 0; } }
</style>
