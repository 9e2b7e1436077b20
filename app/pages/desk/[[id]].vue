<script setup lang="ts">
import { unitsOf } from '~~/core/athlete/athlete'
import type SheetEditor from '~/components/desk/SheetEditor.vue'
import { isSameMissing, sayMissing } from '~~/core/words/missing'
import type { Remark } from '~~/core/script/remark'
import type { Nudging } from '~~/core/nudge/nudging'
import { usualNudging } from '~~/core/nudge/nudging'
import { titleOf } from '~~/core/script/title'
import { paceReadingFor } from '~~/core/athlete/say-target'
import { manyRuns, useForecast } from '~/forecast/use-forecast'
import { lastOnDesk, rememberFresh, rememberOnDesk } from '~/desk/draft'
import type { Edit } from '~~/core/edit/edit'
import { printSession } from '~~/core/script/print'
import type { Session } from '~~/core/session/document'
import type { KeptSession, Listed, ShelfRow } from '~~/shared/api'
import type { ApiProblem } from '~/composables/api'
import type RowPanel from '~/components/desk/RowPanel.vue'
import type { KeptHistory } from '~/desk/history'
import { keepHistory, keptHistory } from '~/desk/history'
import type { OwnSession } from '~/desk/language'
import { takeDropped } from '~/calculator/typed'

definePageMeta({ key: 'desk' })
const route = useRoute()
const desk = useDeskStore()
const athletes = useAthleteStore()
const problem = ref<ApiProblem | null>(null)
const isSending = ref(false)
const history = ref<KeptHistory | null>(null)
const openedId = ref('')
const selected = ref<string | null>(null)
const refused = ref('')
const isAsking = ref(false)
const own = ref<OwnSession[]>([])
const panel = useTemplateRef<InstanceType<typeof RowPanel>>('panel')
const editor = useTemplateRef<InstanceType<typeof SheetEditor>>('editor')

async function openFor(id: string | undefined) {
  problem.value = null
  try {
    if (!athletes.isLoaded) await athletes.load().catch(() => {})
    if (id === 'new') {
      const made = crypto.randomUUID()
      rememberFresh(made)
      await navigateTo(`/desk/${made}`, { replace: true })
      return
    }
    const wanted = id || lastOnDesk()
    if (!wanted) {
      await navigateTo('/desk/new', { replace: true })
      return
    }
    await desk.open(wanted)
    history.value = await keptHistory(wanted)
    selected.value = null
    openedId.value = wanted
    rememberOnDesk(wanted)
    if (id !== wanted) window.history.replaceState(window.history.state, '', `/desk/${wanted}`)
  } catch (error) {
    problem.value = toldOf(error)
  }
}
watch(
  () => route.params.id,
  id => openFor(id as string | undefined),
)
await openFor(route.params.id as string | undefined)

const session = computed(() => desk.session)
const title = computed(() => (session.value && desk.script.trim() !== '' ? titleOf(session.value) : 'New session'))
const place = computed(() => {
  const kind = session.value?.place?.kind
  return [session.value?.sport, kind].filter(Boolean).join(' · ')
})
const unit = computed(() =>
  session.value?.sport === 'multi' || session.value?.sport === undefined
    ? 'km'
    : (unitsOf(athletes.athlete)[session.value.sport] as 'km' | 'mi' | 'm'),
)
useHead({ title: () => `${title.value} · Desk · Agonis` })

async function sendToWatch() {
  if (!(await desk.flush())) return
  isSending.value = true
}
const canSend = computed(() => (desk.reckoning?.flat.length ?? 0) > 0)

const wrist = useWatchesStore()
const watchId = ref('')
onMounted(() =>
  wrist
    .load()
    .then(() => (watchId.value ||= wrist.preferred()?.id ?? ''))
    .catch(() => {}),
)
const nudging = computed<Nudging>(() => wrist.watches.find(watch => watch.id === watchId.value)?.profile ?? usualNudging)
const forecast = useForecast(
  () => session.value,
  () => athletes.standpoint,
  () => nudging.value,
)
const paceReading = computed(() =>
  paceReadingFor(session.value?.sport === 'multi' || !session.value ? 'run' : session.value.sport, unit.value),
)
const forecastMissing = computedAlike(() =>
  (forecast.made.value?.forecast.missing ?? []).filter(
    missing => !(desk.reckoning?.remarks ?? []).some(remark => 'missing' in remark && isSameMissing(remark.missing, missing)),
  ),
)
const takeQuiet = () =>
  editor.value?.editAll((forecast.picture.value?.quiet.steps ?? []).map(step => ({ do: 'target', at: step.path, words: step.words })))

const plainTitle = computed(() => (session.value ? titleOf(session.value) : 'New session'))
const sessionCount = computed(() => desk.reading.sessions.length)
const theirs = computed(() => (desk.keeping.state === 'differs' ? desk.keeping.theirs : null))
const isWritten = computed(() => (session.value?.items.length ?? 0) > 0)
const rowsTextOf = (document: Session) => printSession(document).split('\n\n').slice(1).join('\n\n').trimEnd()

/** Titles of own sessions, to be put in by their first letters. */
async function loadOwn() {
  const { rows } = await api<Listed<ShelfRow>>('/sessions?limit=60').catch(() => ({ rows: [] as ShelfRow[] }))
  own.value = rows
    .filter(row => row.id !== desk.id)
    .map(row => ({
      title: row.title,
      rows: () =>
        api<KeptSession>(`/sessions/${row.id}`)
          .then(kept => rowsTextOf(kept.document))
          .catch(() => null),
    }))
}
onMounted(loadOwn)
watch(
  editor,
  ready => {
    const words = ready && takeDropped()
    if (words) void nextTick(() => editor.value?.put(words))
  },
  { flush: 'post', immediate: true },
)

function onEdit(edit: Edit) {
  refused.value = ''
  void editor.value?.edit(edit)
}
function onRow(path: string | null) {
  if (path !== selected.value) refused.value = ''
  selected.value = path
}
const takeSize = (document: Session) => editor.value?.rewrite(printSession(document))
function toWeek() {
  sessionStorage.setItem('agonis.week-text', desk.script)
  return navigateTo('/weeks')
}
function onKey(event: KeyboardEvent) {
  const isTyping = (event.target as HTMLElement).closest('input, textarea, select, .cm-content') !== null
  if (event.key === '?' && !isTyping) isAsking.value = true
  if (event.altKey && event.code === 'KeyQ') {
    event.preventDefault()
    void takeQuiet()
  }
  if (event.altKey && event.key.toLowerCase() === 'e') {
    event.preventDefault()
    panel.value?.focus()
  }
}
const onHide = () => {
  if (document.visibilityState === 'hidden') void desk.save()
}
const onUnload = (event: BeforeUnloadEvent) => {
  if (desk.keeping.state === 'nowhere') event.preventDefault()
}
onMounted(() => {
  window.addEventListener('keydown', onKey)
  document.addEventListener('visibilitychange', onHide)
  window.addEventListener('beforeunload', onUnload)
})
onBeforeUnmount(() => {
  window.removeEventListener('keydown', onKey)
  document.removeEventListener('visibilitychange', onHide)
  window.removeEventListener('beforeunload', onUnload)
})
</script>

<template>
  <div v-if="problem" class="page">
    <h1>Desk</h1>
    <p class="said error" role="alert">
      {{ problem.problem }} <span class="faint">{{ problem.hint }}</span>
    </p>
    <NuxtLink to="/desk/new">Begin a new session</NuxtLink>
  </div>
  <div v-else class="desk">
    <div class="left">
      <div class="top">
        <h1 data-test="title">{{ title }}</h1>
        <p class="faint">{{ place }}</p>
      </div>
      <p v-if="sessionCount > 1" class="said ask" data-test="several">
        This holds {{ sessionCount }} sessions. <button class="plain" data-test="to-week" @click="toWeek">Put them on their days</button>
        <span class="faint"> The sheet shows the first.</span>
      </p>
      <DeskSheetEditor
        v-if="openedId !== ''"
        :key="openedId"
        ref="editor"
        :history="history"
        :own="own"
        :selected="selected"
        @row="onRow"
        @refused="(why: string) => (refused = why)"
        @field="panel?.focus()"
        @history="(kept: KeptHistory) => keepHistory(openedId, kept)" />
      <DeskSourceDrawer
        v-if="desk.source"
        :source="desk.source"
        :session="session ?? null"
        :selected="selected"
        @choose="
          (path: string) => {
            selected = path
            const line = desk.lineOf(path)
            if (line) editor?.show(line)
          }
        "
        @drop="desk.dropSource" />
      <DeskRowPanel ref="panel" :path="selected" :refused="refused" @edit="onEdit" @leave="editor?.focus()" />
      <DeskTwoSides v-if="theirs" :mine="desk.script" :theirs="theirs.script" :is-left="theirs.tab !== undefined" @choose="desk.settle" />
      <div class="bar">
        <button class="act first" :disabled="!canSend" data-test="send-to-watch" @click="sendToWatch">Send to watch</button>
        <NuxtLink class="act link" :to="`/card/${desk.id}`" data-test="to-card">On paper</NuxtLink>
        <NuxtLink class="act link" to="/desk/new">New session</NuxtLink>
        <button class="act" aria-haspopup="dialog" @click="isAsking = true">Keys</button>
        <DeskKeeping />
      </div>
    </div>
    <DeskSideColumn>
      <DeskTotals :unit="unit" />
      <DeskRemarks
        :is-empty="!canSend"
        @fix="(remark: Remark, replacement: string) => editor?.replace(remark, replacement)"
        @show="line => editor?.show(line)" />
      <template v-if="isWritten">
        <DeskSplits v-if="selected" :path="selected" />
        <DeskHowHard v-if="forecast.made.value" v-bind="forecast.made.value" @edit="(edits: Edit[]) => editor?.editAll(edits)" />
        <div v-for="missing in forecastMissing" :key="sayMissing(missing)" class="said note">
          How hard it is needs {{ sayMissing(missing) }}.<MeAskNumber :missing="missing" />
        </div>
        <DeskNudges
          :picture="forecast.picture.value"
          :progress="forecast.progress.value"
          :runs="forecast.runs.value"
          :problem="forecast.problem.value"
          :watches="wrist.watches"
          :watch="watchId"
          :reading="paceReading"
          @watch="(id: string) => (watchId = id)"
          @many="forecast.ask(manyRuns)"
          @stop="forecast.stop"
          @take="(edits: Edit[]) => editor?.editAll(edits)" />
      </template>
      <DeskSuggestions @show="line => editor?.show(line)" @edit="(edits: Edit[]) => editor?.editAll(edits)" />
      <template v-if="isWritten">
        <h2 class="section">Another size</h2>
        <DeskSizes @take="takeSize" />
        <h2 class="section">Variants</h2>
        <DeskVariants :id="desk.id" :is-kept="desk.base > 0" :title="plainTitle" :ready="desk.flush" />
        <h2 class="section">Tags</h2>
        <TagField :tags="desk.tags" @set="desk.setTags" />
      </template>
    </DeskSideColumn>
    <WatchesSendPanel v-if="isSending" :session-id="desk.id" :title="title" @close="isSending = false" />
    <DeskKeysSheet v-if="isAsking" @close="isAsking = false" />
  </div>
</template>

<style scoped>
.desk {
  display: flex;
  height: 100%;
}
.left {
  flex: 1;
  min-width: 0;
  display: flex;
  flex-direction: column;
  padding: 18px 0 0 22px;
}
.top {
  padding-right: 22px;
  margin-bottom: 8px;
}
.top h1 {
  overflow-wrap: anywhere;
  display: -webkit-box;
  -webkit-line-clamp: 2;
  -webkit-box-orient: vertical;
  overflow: hidden;
  padding-bottom: 0.12em;
}
.top p {
  margin: 2px 0 0;
}
.section {
  margin-top: 14px;
}
.bar {
  border-top: 2px solid var(--slip);
  margin-left: -22px;
  padding: 8px 22px;
  display: flex;
  gap: 14px;
  align-items: center;
  flex-wrap: wrap;
  flex: none;
  background: var(--cream);
}
.link {
  text-decoration: none;
  color: inherit;
  display: inline-flex;
  align-items: center;
}
@media (max-width: 900px) {
  .desk {
    flex-direction: column;
    height: auto;
    min-height: 100%;
  }
  .left {
    padding-left: 12px;
    min-height: 70vh;
  }
  .bar {
    margin-left: -12px;
    padding: 8px 12px;
    position: sticky;
    bottom: 0;
  }
}
</style>
