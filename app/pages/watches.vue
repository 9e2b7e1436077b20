<script setup lang="ts">
import { aboutWords } from '~/watches/words'
import type { LinkKind, SlotComparison, SlotRow, TransferState, WatchState } from '~~/shared/api'
import { watchesPage as texts } from '~/texts/en'

useHead({ title: 'Watches · Agonis' })
const route = useRoute()
const wrist = useWatchesStore()
const chosen = ref('')
const state = ref<WatchState | null>(null)
const sendings = ref<TransferState[]>([])
const { problem, isBusy, guarded } = useGuarded()
const said = ref('')
const compared = ref<(SlotComparison & { slot: number }) | null>(null)
const isAdding = ref(false)
const kept = computed(() => wrist.watches.find(entry => entry.id === chosen.value) ?? null)

async function look() {
  sendings.value = await api<TransferState[]>(`/watches/${chosen.value}/transfers`)
  state.value = kept.value?.isPaired ? await api<WatchState>(`/watches/${chosen.value}/state`) : null
}
const lookAgain = () => guarded(look)
const choose = (id: string) =>
  guarded(async () => {
    Object.assign(wrist, { transfer: null })
    chosen.value = id
    state.value = null
    compared.value = null
    said.value = ''
    await look()
  })
const readBack = (slot: number) =>
  guarded(async () => {
    compared.value = { slot, ...(await api<SlotComparison>(`/watches/${chosen.value}/slots/${slot}`)) }
  })
const isFreeToLose = async (row: SlotRow) => row.by !== 'hand' || (await askedToGoOn(texts.wasMadeOrChanged(row.holds!), texts.clearIt))
async function clear(row: SlotRow) {
  if (!(await isFreeToLose(row))) return
  return guarded(async () => {
    await api(`/watches/${chosen.value}/slots/${row.slot}?expects=${row.generation}${row.by === 'hand' ? '&handMade=true' : ''}`, {
      method: 'DELETE',
    })
    said.value = texts.slotIsClearedThere(row.slot, row.should ? texts.theSessionIsStill : '')
    compared.value = null
    await look()
  })
}
const letGo = (row: SlotRow) =>
  guarded(async () => {
    await api(`/watches/${chosen.value}/slots/${row.slot}`, { method: 'DELETE' })
    await look()
  })
async function sendAgain(row: SlotRow) {
  if (row.status === 'edited' && !(await isFreeToLose(row))) return
  return guarded(async () => {
    await wrist.send(chosen.value, row.should!.sessionId!, { over: row.by === 'hand' })
    await look()
  })
}
const resume = (id: string) =>
  guarded(async () => {
    await wrist.resume(id)
    await look()
  })
const cancelSending = (id: string) =>
  guarded(async () => {
    await wrist.cancelSending(id)
    await look()
  })
const collect = () =>
  guarded(async () => {
    const { recordings } = await api<{ recordings: string[] | null }>(`/watches/${chosen.value}/collect`, { method: 'POST' })
    said.value =
      recordings === null
        ? texts.theWatchIsSlow
        : recordings.length === 0
          ? texts.nothingWaitsOnThe
          : texts.cameHomeAndIn(recordings.length, recordings.length === 1 ? texts.is : texts.are)
    await look()
  })
const setLink = (link: LinkKind) =>
  guarded(async () => {
    await wrist.change(chosen.value, { link })
    await look()
  })
const lift = (about: string) => guarded(() => wrist.stand(chosen.value, about, null))
const forget = () =>
  guarded(async () => {
    if (!(await askedToGoOn(texts.forgetHereWhatIt(kept.value!.name), texts.forgetIt))) return
    await wrist.forget(chosen.value)
    chosen.value = wrist.preferred()?.id ?? ''
    if (chosen.value) await look()
  })
const added = (id: string) => {
  isAdding.value = false
  return choose(id)
}

onMounted(() =>
  guarded(async () => {
    await wrist.load()
    const wanted = wrist.preferred(route.query.watch)
    if (!wanted) return
    chosen.value = wanted.id
    await look()
    if (route.query.slot) await readBack(Number(route.query.slot))
  }),
)

useChanges(['holding', 'transfer', 'recording'], async () => {
  if (chosen.value && !isBusy.value) await look().catch(() => {})
})
watch(
  () => kept.value?.isPaired,
  (isNow, wasBefore) => isNow && wasBefore === false && lookAgain(),
)

const order: SlotRow['status'][] = ['missing', 'edited', 'stale', 'leaving', 'extra', 'equal']
const used = computed(() =>
  (state.value?.rows ?? [])
    .filter(row => row.status !== 'empty')
    .sort((a, b) => order.indexOf(a.status) - order.indexOf(b.status) || a.slot - b.slot),
)
const free = computed(() => state.value?.rows.filter(row => row.status === 'empty').length ?? 0)
const asItShouldBe = computed(() => {
  const differing = used.value.filter(row => row.status !== 'equal').length
  return differing === 0 ? texts.allAsItShould : texts.notAsShouldBe(differing, differing === 1 ? texts.it : texts.they)
})
const shown = computed(() => {
  const live = wrist.transfer?.watchId === chosen.value ? wrist.transfer : null
  return live ? [live, ...sendings.value.filter(entry => entry.id !== live.id)] : sendings.value
})
const clockWords = computed(() => {
  const seconds = state.value?.clockAhead ?? 0
  if (Math.abs(seconds) < 60) return ''
  const minutes = Math.round(Math.abs(seconds) / 60)
  return (
    texts.itsClockIs(minutes >= 120 ? `${Math.round(minutes / 60)} h` : texts.min(minutes)) +
    texts.itsRecordingsAreDated(seconds > 0 ? texts.ahead : texts.behind)
  )
})
const needsPairing = computed(() => kept.value !== null && (!kept.value.isPaired || problem.value?.why === 'unpaired'))
</script>

<template>
  <div class="page">
    <h1>{{ texts.watches }}</h1>
    <div class="watches" role="group" :aria-label="texts.watches">
      <el-button
        v-for="entry in wrist.watches"
        :key="entry.id"
        :type="entry.id === chosen ? 'primary' : 'default'"
        :aria-pressed="entry.id === chosen"
        @click="choose(entry.id)">
        {{ entry.name }}
      </el-button>
      <el-button link type="primary" data-test="add" :aria-expanded="isAdding" @click="isAdding = !isAdding">{{
        texts.takeInAnother
      }}</el-button>
      <NuxtLink to="/phone">{{ texts.thisPhoneAsA }}</NuxtLink>
    </div>
    <LazyWatchesAddWatch v-if="isAdding" @added="added" @close="isAdding = false" />
    <div v-if="kept" class="bar">
      <label
        >{{ texts.link }}
        <el-select :model-value="kept.link" data-test="link-kind" @change="setLink($event)">
          <el-option value="radio" :label="texts.radio" />
          <el-option value="cable" :label="texts.cable" /> </el-select
      ></label>
      <el-button :disabled="isBusy || needsPairing" data-test="look" @click="lookAgain">{{ texts.lookAgain }}</el-button>
      <el-button :disabled="isBusy || needsPairing" data-test="collect" @click="collect">
        {{ texts.bringRecordingsHome(state?.recordings ? ` (${state.recordings})` : '') }}
      </el-button>
      <NuxtLink :to="`/standin/${chosen}`">{{ texts.itsGlassAndButtons }}</NuxtLink>
      <el-button link type="primary" @click="forget">{{ texts.forgetThisWatch }}</el-button>
    </div>
    <p v-if="problem" class="said error" role="alert" data-test="problem">
      {{ problem.problem }} <span class="faint">{{ problem.hint }}</span>
      <el-button link type="primary" @click="lookAgain">{{ texts.tryAgain }}</el-button>
    </p>
    <LazyWatchesPairing v-if="kept && needsPairing" :watch="kept" @paired="lookAgain" />
    <p v-if="state?.wasReset" class="said ask">
      {{ texts.thisWatchHasBeen }}
    </p>
    <p v-if="clockWords" class="said ask">{{ clockWords }}</p>
    <p v-if="said" class="said note" role="status" data-test="said">{{ said }}</p>
    <LazyWatchesSendingRow
      v-for="sending in shown"
      :key="sending.id"
      :sending="sending"
      @resume="resume(sending.id)"
      @cancel="cancelSending(sending.id)" />
    <p v-if="wrist.watches.length === 0 && !problem" class="faint">
      {{ texts.noWatchIsKnown }}
    </p>
    <Waiting v-if="isBusy && !state && kept && !needsPairing" :words="texts.askingTheWatchWhat" />
    <template v-if="state">
      <p class="faint" :data-test="used.length === 0 ? 'empty' : undefined">
        {{ used.length === 0 ? texts.itHoldsNothingYet : texts.inUseFree(used.length, free, asItShouldBe) }}
      </p>
      <WatchesSlotTable
        v-if="used.length > 0"
        :rows="used"
        :is-busy="isBusy"
        @read-back="readBack($event.slot)"
        @send="sendAgain"
        @clear="clear"
        @let-go="letGo" />
      <LazyWatchesReadBack v-if="compared" :compared="compared" />
      <WatchesPush :key="chosen" :watch-id="chosen" @pushed="lookAgain" />
    </template>
    <template v-if="kept">
      <WatchesAbility :watch="kept" @changed="lookAgain" />
      <section v-if="Object.keys(kept.standing).length > 0" class="standing">
        <h2>{{ texts.standingChoices }}</h2>
        <ul>
          <li v-for="(way, about) in kept.standing" :key="about">
            {{ aboutWords(String(about)) }}: <b>{{ way.replace('-', ' ') }}</b>
            <el-button link type="primary" @click="lift(String(about))">{{ texts.noLonger }}</el-button>
          </li>
        </ul>
      </section>
    </template>
  </div>
</template>

<style scoped>
.watches,
.bar {
  display: flex;
  gap: 12px;
  flex-wrap: wrap;
  align-items: center;
  margin: 14px 0;
}
.bar {
  gap: 10px 18px;
  margin: 8px 0 14px;
}
.bar label {
  display: flex;
  gap: 8px;
  align-items: center;
}
.standing {
  margin-top: 22px;
}
</style>
