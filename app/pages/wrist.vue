<script setup lang="ts">
import type { SlotComparison, SlotRow, TransferState, WatchState } from '~~/shared/api'

useHead({ title: 'Wrist · Agonis' })
const route = useRoute()
const wrist = useWristStore()
const chosen = ref('')
const state = ref<WatchState & { transfers: TransferState[] } | null>(null)
const { problem, isBusy, guarded } = useGuarded()
const said = ref('')
const compared = ref<SlotComparison & { slot: number } | null>(null)

async function look() {
  state.value = await api<WatchState & { transfers: TransferState[] }>(`/watches/${chosen.value}/state`)
}
const choose = (id: string) => guarded(async () => {
  chosen.value = id
  state.value = null
  compared.value = null
  said.value = ''
  await look()
})
const readBack = (slot: number) => guarded(async () => {
  compared.value = { slot, ...await api<SlotComparison>(`/watches/${chosen.value}/slots/${slot}`) }
})
const clear = (row: SlotRow) => guarded(async () => {
  await api(`/watches/${chosen.value}/slots/${row.slot}?expects=${row.generation}`, { method: 'DELETE' })
  said.value = `Slot ${row.slot} is cleared there. The session is still on your shelf.`
  compared.value = null
  await look()
})
const sendAgain = (row: SlotRow) => guarded(async () => {
  await wrist.send(chosen.value, row.should!.sessionId!)
  await look()
})
const resume = (id: string) => guarded(async () => {
  await wrist.resume(id)
  await look()
})
const collect = () => guarded(async () => {
  const { recordings } = await api<{ recordings: string[] }>(`/watches/${chosen.value}/collect`, { method: 'POST' })
  said.value = recordings.length === 0 ? 'Nothing waits on the watch.' : `${recordings.length} came home and ${recordings.length === 1 ? 'is' : 'are'} in the log.`
})

onMounted(() => guarded(async () => {
  await wrist.load()
  const wanted = wrist.preferred(route.query.watch)
  if (!wanted) return
  chosen.value = wanted.id
  await look()
  if (route.query.slot) await readBack(Number(route.query.slot))
}))

const used = computed(() => state.value?.rows.filter(row => row.standing !== 'empty') ?? [])
const free = computed(() => state.value?.rows.filter(row => row.standing === 'empty').length ?? 0)
const words: Record<SlotRow['standing'], string> = { equal: 'equal', missing: 'missing there', different: 'something else is there', extra: 'made there, not sent', empty: 'free' }
const sent = computed(() => wrist.transfer?.watchId === chosen.value && wrist.transfer.state === 'sending' ? wrist.transfer : null)
</script>

<template>
  <div class="page">
    <h1>Wrist</h1>
    <div class="watches" role="group" aria-label="Watches">
      <button v-for="entry in wrist.watches" :key="entry.id" class="act" :class="{ first: entry.id === chosen }" :aria-pressed="entry.id === chosen" @click="choose(entry.id)">
        {{ entry.name }}
      </button>
      <button v-if="chosen" class="act" :disabled="isBusy" data-test="collect" @click="collect">Bring recordings home</button>
      <NuxtLink v-if="chosen" :to="`/watch/${chosen}`">its glass and buttons</NuxtLink>
    </div>
    <p v-if="problem" class="said error" role="alert" data-test="problem">{{ problem.problem }} <span class="faint">{{ problem.hint }}</span> <button class="plain" @click="guarded(look)">Try again</button></p>
    <p v-if="said" class="said note" role="status" data-test="said">{{ said }}</p>
    <p v-for="open in state?.transfers ?? []" :key="open.id" class="said ask">
      “{{ open.title }}” stopped at {{ open.arrived }} of {{ open.size }} bytes{{ open.problem ? `: ${open.problem}` : '.' }}
      <button class="plain" data-test="resume" @click="resume(open.id)">Go on from there</button>
    </p>
    <p v-if="sent" role="status"><progress :value="sent.arrived" :max="sent.size" /> sending “{{ sent.title }}”</p>
    <p v-if="wrist.watches.length === 0 && !problem" class="faint">No watch is known yet.</p>
    <template v-if="state">
      <p class="faint" :data-test="used.length === 0 ? 'empty' : undefined">{{ used.length === 0 ? 'It holds nothing yet: send a session from the Desk.' : `${used.length} in use, ${free} free.` }}</p>
      <div v-if="used.length > 0" class="scroll-x">
        <table class="ruled" data-test="slots">
          <thead><tr><th>Slot</th><th>Should hold</th><th>Holds</th><th>Standing</th><th><span class="hidden-text">Actions</span></th></tr></thead>
          <tbody>
            <tr v-for="row in used" :key="row.slot">
              <td class="mono">{{ row.slot }}</td>
              <td><NuxtLink v-if="row.should?.sessionId" :to="`/desk/${row.should.sessionId}`">{{ row.should.title }}</NuxtLink><span v-else>{{ row.should?.title ?? '–' }}</span></td>
              <td>{{ row.holds ?? '–' }}</td>
              <td>
                <span :class="row.standing === 'equal' ? (row.older ? 'doubt' : 'good') : 'bad'">● {{ words[row.standing] }}</span>
                <span v-if="row.older" class="doubt">, older than the shelf's</span>
              </td>
              <td class="acts">
                <button class="plain" @click="readBack(row.slot)">read back</button>
                <button v-if="row.should?.sessionId && (row.standing !== 'equal' || row.older)" class="plain" @click="sendAgain(row)">send again</button>
                <button v-if="row.standing !== 'missing'" class="plain" @click="clear(row)">clear</button>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <section v-if="compared" class="compared" aria-label="Read back">
        <h2>Slot {{ compared.slot }}, read back <span :class="compared.equal ? 'good' : 'bad'" data-test="compared">● {{ compared.equal ? 'equal, step by step' : 'not equal' }}</span></h2>
        <div class="scroll-x">
          <table class="ruled mono rows">
            <thead><tr><th>Row</th><th>Should be</th><th>Is</th><th><span class="hidden-text">Equal</span></th></tr></thead>
            <tbody>
              <tr v-for="(row, index) in compared.rows" :key="index" :class="{ bad: !row.equal }">
                <td class="faint">{{ row.path }}</td>
                <td :style="{ paddingLeft: `${row.depth * 20}px` }">{{ row.should ?? '–' }}</td>
                <td :style="{ paddingLeft: `${row.depth * 20}px` }">{{ row.holds ?? '–' }}</td>
                <td>{{ row.equal ? '=' : '≠' }}</td>
              </tr>
            </tbody>
          </table>
        </div>
      </section>
    </template>
  </div>
</template>

<style scoped>
.watches { display: flex; gap: 12px; flex-wrap: wrap; align-items: center; margin: 14px 0; }
.acts { text-align: right; white-space: nowrap; }
.acts button + button { margin-left: 12px; }
.compared { margin-top: 22px; }
.rows { font-size: 14px; }
progress { accent-color: var(--verdigris); }
</style>
