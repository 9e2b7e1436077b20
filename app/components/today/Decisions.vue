<script setup lang="ts">
import type { KeptWatch, WatchState } from '~~/shared/api'
import type { Decision, TodayPicture } from '~~/shared/plan'
import { todayDecisions as texts } from '~/texts/en'

/** What waits for the athlete: each with what it is about and the way to settle it. */
const props = defineProps<{ picture: TodayPicture }>()
const emit = defineEmits<{ changed: [] }>()
const dates = useDates()
const { problem, isBusy, guarded } = useGuarded()

interface AtWatch {
  watch: KeptWatch
  recordings: number
  stale: string[]
}
const atWatches = ref<AtWatch[]>([])
/** What a watch out of reach holds is no decision; it is looked at again on Watches. */
async function look() {
  const watches = (await api<KeptWatch[]>('/watches')).filter(watch => watch.isPaired)
  const states = await Promise.all(
    watches.map(async watch => ({ watch, state: await api<WatchState>(`/watches/${watch.id}/state`).catch(() => null) })),
  )
  atWatches.value = states.flatMap(({ watch, state }) =>
    state
      ? [{ watch, recordings: state.recordings, stale: state.rows.filter(row => row.status === 'stale').map(row => row.holds ?? '') }]
      : [],
  )
}
onMounted(() => look().catch(() => (atWatches.value = [])))
useChanges(['holding', 'recording'], () => void look().catch(() => {}))

const act = (path: string, body?: object) =>
  guarded(async () => {
    await api(path, { method: 'POST', ...(body ? { body } : {}) })
    emit('changed')
  })
const bringHome = (watch: KeptWatch) => act(`/watches/${watch.id}/collect`)
const isAnything = computed(
  () => props.picture.decisions.length > 0 || atWatches.value.some(({ recordings, stale }) => recordings > 0 || stale.length > 0),
)
const take = (decision: Extract<Decision, { code: 'balance' }>) => {
  const { id, day } = decision.fix!
  const was = props.picture.week.entries.find(entry => entry.id === id)!.day
  return act('/plan/edits', { do: 'move', id, day, was: { day: was } })
}
const undo = () => act('/plan/undo', { number: props.picture.undo!.number })
</script>

<template>
  <section data-test="decisions">
    <h2>{{ texts.toDecide }}</h2>
    <ProblemAlert :problem="problem" />
    <ul>
      <template v-for="{ watch, recordings, stale } in atWatches" :key="watch.id">
        <li v-if="recordings > 0" data-test="waits-there">
          <span class="good" aria-hidden="true">●</span>
          {{ texts.waitsOnThe(recordings === 1 ? texts.oneRecording : texts.recordings(recordings), watch.name) }}
          <el-button link type="primary" :disabled="isBusy" data-test="bring-home" @click="bringHome(watch)">{{
            texts.bringItHome
          }}</el-button>
        </li>
        <li v-for="title in stale" :key="title">
          <span class="doubt" aria-hidden="true">●</span> {{ texts.onTheIsOlder(title, watch.name) }}
          <NuxtLink to="/watches">{{ texts.lookAtIt }}</NuxtLink>
        </li>
      </template>
      <li v-for="(decision, index) in picture.decisions" :key="index" :data-test="`decide-${decision.code}`">
        <span class="doubt" aria-hidden="true">●</span>{{ ' ' }}
        <template v-if="decision.code === 'demo'">
          {{ decision.weeks === 1 ? texts.theDemoIsAWeek : texts.theDemoIsWeeks(decision.weeks) }}
          <el-button link type="primary" :disabled="isBusy" @click="act('/demo/move')">{{ texts.moveItToToday }}</el-button>
        </template>
        <template v-else-if="decision.code === 'doubt'">
          {{ texts.readsTwoWays(decision.title, dates.day(decision.day)) }}
          <NuxtLink :to="`/desk/${decision.sessionId}`">{{ texts.answerIt }}</NuxtLink>
        </template>
        <template v-else-if="decision.code === 'no-plan'">
          {{ texts.cameHomeWithout(dates.day(decision.day)) }}
          <NuxtLink :to="`/log/${decision.recordingId}`">{{ texts.lookAtIt }}</NuxtLink>
        </template>
        <template v-else-if="decision.code === 'old-marks'">
          {{ texts.yourYoungestMark(decision.sport, dates.day(decision.day, { year: true })) }}
          <NuxtLink to="/me">{{ texts.toYourNumbers }}</NuxtLink>
        </template>
        <TodayRefused
          v-else-if="decision.code === 'push'"
          :decision="decision"
          :is-busy="isBusy"
          @again="act(`/watches/${decision.watchId}/routine`)" />
        <template v-else-if="decision.code === 'stopped'">
          {{ texts.didNotArrive(decision.title, decision.watch, decision.problem) }}
          <NuxtLink to="/watches">{{ texts.lookAtIt }}</NuxtLink>
        </template>
        <template v-else>
          {{ decision.message }} <small class="faint">{{ decision.source }}</small>
          <BalanceAnswers
            :fix="decision.fix"
            :is-busy="isBusy"
            @take="take(decision)"
            @dismiss="what => act('/plan/dismissals', { key: what === 'this' ? decision.key : decision.kind })" />
        </template>
      </li>
    </ul>
    <p v-if="!isAnything" class="faint">{{ texts.nothingWaitsFor }}</p>
    <p v-if="picture.undo" class="faint undo">
      {{ texts.lastChange(picture.undo.said) }}
      <el-button link type="primary" :disabled="isBusy" data-test="undo-plan" @click="undo">{{ texts.undo }}</el-button>
    </p>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  padding: 9px 0;
  border-top: 1px solid var(--rule);
}
small {
  display: block;
}
.undo {
  border-top: 1px solid var(--rule);
  padding-top: 8px;
}
</style>
