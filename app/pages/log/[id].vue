<script setup lang="ts">
import { printAsRun } from '~~/core/script/as-run'
import { promptsSaid } from '~~/core/record/prompts'
import { resultsOf } from '~~/core/record/results'
import { sayDistance } from '~~/core/quantity/distance'
import { formatTime, sayDuration } from '~~/core/quantity/time'
import { isByHand } from '~~/core/record/by-hand'
import { loggedSteps } from '~/log/logged-steps'
import type { LoggedRecording } from '~~/shared/log'
import type { ApiProblem } from '~/composables/api'
import { logIdPage as texts } from '~/texts/en'

const route = useRoute()
const athletes = useAthleteStore()
const logged = shallowRef<LoggedRecording | null>(null)
const problem = ref<ApiProblem | null>(null)
useHead({ title: () => texts.agonis(logged.value?.title ?? texts.log) })

onMounted(async () => {
  try {
    if (!athletes.isLoaded) await athletes.load()
    logged.value = await api<LoggedRecording>(`/recordings/${String(route.params.id)}`)
  } catch (error) {
    problem.value = toldOf(error)
  }
})

const said = computed(() => logged.value && loggedSteps(logged.value, athletes.athlete))
const dates = useDates()
const when = computed(() =>
  logged.value ? dates.momentOf(logged.value.recording.startedAt, { weekday: 'long' }, logged.value.recording.timeZone) : '',
)
/** The step that is looked at, in the chart and in the table. */
const chosen = ref<number | null>(null)
const isPuttingRight = ref(false)
const upshot = computed(() => {
  const score = logged.value?.score
  if (!score) return ''
  if (score.basis === 'none') return texts.theRecordingHasNo
  const { wordsOf, roundOf, reasonOf, edges } = said.value!
  const held = score.totals.held === null ? '' : texts.held(Math.round(score.totals.held * 100))
  const worst = score.steps.filter(step => step.reason).sort((a, b) => (a.held ?? 1) - (b.held ?? 1))[0]
  const where = worst ? texts.furthestOff(wordsOf(worst), roundOf(worst) ? texts.round2(roundOf(worst)) : '', reasonOf(worst)) : ''
  return texts.ofStepsDone(score.totals.done, score.totals.planned, held, edges, where)
})
/** What was said on the way, each with its moments. */
const prompts = computed(() => {
  const { program, recording } = logged.value!
  const all = promptsSaid(program?.prompts ?? [], recording.marks)
  return [...new Set(all.map(({ say }) => say))].map(
    say =>
      `${say} at ${all
        .filter(one => one.say === say)
        .map(({ t }) => formatTime(Math.round(t)))
        .join(', ')}`,
  )
})
const asRun = computed(() => {
  const { session, score } = logged.value ?? {}
  return session && score ? printAsRun(session, resultsOf(session, score.steps)) : ''
})
const work = computed(() => logged.value?.score?.steps.filter(({ path }) => said.value!.steps.get(path)?.role === 'work') ?? [])
/** Our marks say which step was which; without them the athlete says which session it was. */
const isLed = computed(() => logged.value!.recording.marks.some(({ kind }) => kind === 'step'))
const isRemoved = ref(false)
const { problem: failed, isBusy, guarded } = useGuarded()
const putBoundaries = (boundaries: LoggedRecording['boundaries']) =>
  guarded(async () => {
    logged.value = await api<LoggedRecording>(`/recordings/${logged.value!.id}/boundaries`, { method: 'PUT', body: { boundaries } })
  })
/** Puts a step's start elsewhere, beside those that were moved before. */
function moveStart(index: number, startsAt: number) {
  const { path, round } = logged.value!.score!.steps[index]!
  const others = logged.value!.boundaries.filter(one => one.path !== path || one.round.join() !== round.join())
  return putBoundaries([...others, { path, round, startsAt }])
}
const remove = () =>
  guarded(async () => {
    await api(`/recordings/${logged.value!.id}`, { method: 'DELETE' })
    isRemoved.value = true
  })
const bringBack = () =>
  guarded(async () => {
    await api(`/recordings/${logged.value!.id}/restore`, { method: 'POST' })
    isRemoved.value = false
  })
</script>

<template>
  <div class="page">
    <h1 v-if="!logged">{{ texts.log }}</h1>
    <Waiting v-if="!logged && !problem" :words="texts.fetchingTheRecording" :rows="8" />
    <p v-if="problem" class="said error" role="alert">
      {{ problem.problem }} <span class="faint">{{ problem.hint }}</span> <NuxtLink to="/log">{{ texts.backToTheLog }}</NuxtLink>
    </p>
    <ProblemAlert :problem="failed" />
    <div v-if="isRemoved" class="said note" role="status" data-test="removed">
      {{ texts.isOutOfThe(logged?.title ?? '') }}
      <el-button link type="primary" :disabled="isBusy" @click="bringBack">{{ texts.bringItBack }}</el-button>
      <NuxtLink to="/log">{{ texts.toTheLog }}</NuxtLink>
    </div>
    <template v-else-if="logged">
      <h1>{{ logged.title }}</h1>
      <p class="faint">
        {{ when }} · {{ logged.recording.sport
        }}<template v-if="logged.score">
          · {{ sayDuration(logged.score.totals.seconds)
          }}<template v-if="logged.score.totals.metres"> · {{ sayDistance(logged.score.totals.metres, said!.unit) }}</template></template
        >
        <template v-if="logged.sessionId">
          · <NuxtLink :to="`/desk/${logged.sessionId}`">{{ texts.theSession }}</NuxtLink></template
        >
        <span class="noprint"> · </span>
        <el-button link type="primary" data-test="put-right" @click="isPuttingRight = !isPuttingRight">{{ texts.putRight }}</el-button>
      </p>
      <LazyLogFacts
        v-if="isPuttingRight"
        :logged="logged"
        :is-led="isLed"
        @told="told => (logged = told)"
        @close="isPuttingRight = false" />
      <p v-if="upshot" data-test="upshot">{{ upshot }}</p>
      <LogCopies :copies="logged.copies" />
      <LazyLogUnplanned v-if="!isLed && !logged.sessionId" :logged="logged" :said="said!" @told="told => (logged = told)" />
      <LazyLogPlanOf v-if="!isLed" :logged="logged" @told="told => (logged = told)" />
      <template v-if="!isByHand(logged.recording)">
        <LogChart
          :recording="logged.recording"
          :score="logged.score"
          :steps="said!.steps"
          :by-power="said!.byPower"
          :reading="said!.reading"
          :pool-length="said!.poolLength"
          :chosen="chosen"
          :is-busy="isBusy"
          :words-of="said!.wordsOf"
          @move="moveStart" />
        <p v-if="logged.boundaries.length > 0" class="faint" data-test="moved">
          {{ texts.startsMoved(logged.boundaries.length) }}
          <el-button link type="primary" :disabled="isBusy" @click="putBoundaries([])">{{ texts.asFound }}</el-button>
        </p>
        <LogFindings :logged="logged" :said="said!" />
      </template>
      <h2>{{ texts.plannedBesideDone }}</h2>
      <p v-if="logged.changedThere" class="said note" data-test="changed-there">
        {{ texts.carriedOutAsIt }}
      </p>
      <p v-if="prompts.length > 0" data-test="prompts">{{ texts.saidOnTheWay(prompts.join('; ')) }}</p>
      <p v-if="!logged.score" class="faint">{{ texts.itWasCarriedOut }}</p>
      <LogBeside v-else v-model="chosen" :scored="logged.score.steps" :said="said!" />
      <template v-if="!isByHand(logged.recording)">
        <LogSplits :recording="logged.recording" :said="said!" />
        <LogTrack :recording="logged.recording" :work="work" />
      </template>
      <LazyLogWhatNext v-if="logged.session && logged.score && logged.sessionId" :logged="logged" />
      <LogFelt :id="logged.id" :felt="logged.recording.felt" :slept="logged.slept" />
      <LazyLogPassOn :logged="logged" :as-run="asRun" />
      <p class="remove">
        <el-button plain :disabled="isBusy" data-test="remove" @click="remove">{{ texts.takeItOutOf }}</el-button>
      </p>
    </template>
  </div>
</template>

<style scoped>
h2 {
  margin: 18px 0 6px;
}
.remove {
  margin: 24px 0 0;
}
</style>
