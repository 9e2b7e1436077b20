<script setup lang="ts">
import { unitsOf } from '~~/core/athlete/athlete'
import type { ScoredStep } from '~~/core/record/score'
import { roundsAround } from '~~/core/record/score'
import { printAsRun } from '~~/core/script/as-run'
import { promptsSaid } from '~~/core/record/prompts'
import { resultsOf } from '~~/core/record/results'
import { sayDistance } from '~~/core/quantity/distance'
import { formatTime, sayDuration } from '~~/core/quantity/time'
import type { ProgramItem, ProgramStep } from '~~/core/wrist/program/program'
import { poolLengthOf } from '~~/core/wrist/program/program'
import { printProgramItem } from '~~/core/wrist/program/words'
import { paceReadingFor, paceUnitWords, saySpeed } from '~~/core/athlete/say-target'
import type { LoggedRecording } from '~~/shared/api'
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

const steps = computed(() => {
  const found = new Map<string, ProgramStep>()
  const visit = (items: readonly ProgramItem[]) =>
    items.forEach(item => {
      if (item.kind === 'step') found.set(item.path, item)
      else visit(item.items)
    })
  visit(logged.value?.program?.items ?? [])
  return found
})
const sport = computed(() => (logged.value?.recording.sport === 'multi' ? 'run' : (logged.value?.recording.sport ?? 'run')))
const unit = computed(() => unitsOf(athletes.athlete)[sport.value])
const reading = computed(() => paceReadingFor(sport.value, unit.value))
const byPower = computed(
  () => logged.value?.recording.sport === 'ride' || [...steps.value.values()].some(step => step.target?.of === 'power'),
)
const poolLength = computed(() => {
  const [step] = steps.value.values()
  return step && logged.value?.program ? poolLengthOf(step, logged.value.program) : null
})
const dates = useDates()
const when = computed(() =>
  logged.value ? dates.momentOf(logged.value.recording.startedAt, { weekday: 'long' }, logged.value.recording.timeZone) : '',
)

const statusWords: Record<ScoredStep['status'], string> = {
  'done': 'done',
  'cut-short': texts.cutShort,
  'ran-over': texts.ranOver,
  'skipped': 'skipped',
  'merged': 'merged',
  'moved': 'moved',
  'extra': 'extra',
  'unknown': texts.notKnown,
}
const reasonWords: Record<NonNullable<ScoredStep['reason']>, string> = {
  'too-hard': texts.tooHard,
  'too-easy': texts.tooEasy,
  'uneven': 'uneven',
  'no-signal': texts.noSignal,
  'ceiling': texts.overTheCeiling,
}
const paceIsHard = computed(() => !byPower.value)
const reasonOf = (step: ScoredStep) => {
  if (!step.reason) return ''
  if (paceIsHard.value && steps.value.get(step.path)?.target?.of === 'pace' && step.reason.startsWith('too-'))
    return step.reason === 'too-hard' ? texts.tooFast : texts.tooSlow
  return reasonWords[step.reason]
}
const roundOf = (step: ScoredStep) => (step.round.length === 0 ? '' : step.round.join(' · '))
const wordsOf = (step: ScoredStep) =>
  steps.value.has(step.path) ? printProgramItem(steps.value.get(step.path)!, unitsOf(athletes.athlete)) : step.path
/** Where it was begun by choice, and where it ended early: once, in words. */
const edges = computed(() => {
  const { beganAt, endedAt } = logged.value?.score ?? {}
  const sayPlace = ({ path, round }: { path: string; round: number[] }) => {
    const step = steps.value.get(path)
    const times = roundsAround(logged.value!.program!.items, path)
    const rounds = round.map((count, depth) => (times[depth] ? `${count} of ${times[depth]}` : String(count))).join(', ')
    return `${step ? printProgramItem(step, unitsOf(athletes.athlete)) : path}${rounds ? texts.round(rounds) : ''}`
  }
  return `${beganAt ? texts.begunAt(sayPlace(beganAt)) : ''}${endedAt ? texts.endedEarlyIn(sayPlace(endedAt)) : ''}`
})
const upshot = computed(() => {
  const score = logged.value?.score
  if (!score) return ''
  if (score.basis === 'none') return texts.theRecordingHasNo
  const fallen = score.steps.filter(step => step.reason)
  const held = score.totals.held === null ? '' : texts.held(Math.round(score.totals.held * 100))
  const worst = fallen.sort((a, b) => (a.held ?? 1) - (b.held ?? 1))[0]
  const where = worst ? texts.furthestOff(wordsOf(worst), roundOf(worst) ? texts.round2(roundOf(worst)) : '', reasonOf(worst)) : ''
  return texts.ofStepsDone(score.totals.done, score.totals.planned, held, edges.value, where)
})
/** What was said on the way, each with its moments. */
const prompts = computed(() => {
  const { program, recording } = logged.value!
  const said = promptsSaid(program?.prompts ?? [], recording.marks)
  return [...new Set(said.map(({ say }) => say))].map(
    say =>
      `${say} at ${said
        .filter(one => one.say === say)
        .map(({ t }) => formatTime(Math.round(t)))
        .join(', ')}`,
  )
})
const asRun = computed(() => {
  const { session, score } = logged.value ?? {}
  return session && score ? printAsRun(session, resultsOf(session, score.steps)) : ''
})
/** Our marks say which step was which; without them the athlete says which session it was. */
const isLed = computed(() => logged.value!.recording.marks.some(({ kind }) => kind === 'step'))
const isRemoved = ref(false)
const { problem: failed, isBusy, guarded } = useGuarded()
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
const { copy, copied } = useClipboard({ source: asRun, copiedDuring: 4000, legacy: true })
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
          }}<template v-if="logged.score.totals.metres"> · {{ sayDistance(logged.score.totals.metres, unit) }}</template></template
        >
        <template v-if="logged.sessionId">
          · <NuxtLink :to="`/desk/${logged.sessionId}`">{{ texts.theSession }}</NuxtLink></template
        >
      </p>
      <p v-if="upshot" data-test="upshot">{{ upshot }}</p>
      <LazyLogPlanOf v-if="!isLed" :logged="logged" @told="told => (logged = told)" />
      <LogChart
        :recording="logged.recording"
        :score="logged.score"
        :steps="steps"
        :by-power="byPower"
        :reading="reading"
        :pool-length="poolLength" />
      <h2>{{ texts.plannedBesideDone }}</h2>
      <p v-if="logged.changedThere" class="said note" data-test="changed-there">
        {{ texts.carriedOutAsIt }}
      </p>
      <p v-if="prompts.length > 0" data-test="prompts">{{ texts.saidOnTheWay(prompts.join('; ')) }}</p>
      <p v-if="!logged.score" class="faint">{{ texts.itWasCarriedOut }}</p>
      <div v-else class="scroll-x">
        <table class="ruled listed" data-test="beside">
          <thead>
            <tr>
              <th>{{ texts.planned }}</th>
              <th>{{ texts.round3 }}</th>
              <th>{{ texts.done }}</th>
              <th class="number">{{ texts.time }}</th>
              <th class="number">{{ texts.distance }}</th>
              <th class="number">{{ byPower ? 'W' : paceUnitWords[reading] }}</th>
              <th class="number">{{ texts.bpm }}</th>
              <th class="number">{{ texts.held2 }} <Explained term="held" /></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(step, index) in logged.score.steps" :key="index">
              <td class="mono words lead">{{ wordsOf(step) }}</td>
              <td class="mono faint" :data-label="texts.round4">{{ roundOf(step) }}</td>
              <td>
                <span :class="step.status === 'done' ? (step.reason ? 'doubt' : 'good') : 'bad'">{{
                  statusWords[step.status]
                }}</span><template v-if="step.reason">, {{ reasonOf(step) }}</template>
              </td>
              <td class="number" :data-label="texts.time2">{{ step.seconds === null ? '–' : formatTime(Math.round(step.seconds)) }}</td>
              <td class="number" :data-label="texts.distance2">
                {{ step.metres === null ? '–' : sayDistance(step.metres, unit === 'km' ? 'm' : unit) }}
              </td>
              <td class="number" :data-label="byPower ? 'W' : paceUnitWords[reading]">
                {{
                  byPower
                    ? step.mean.power === null
                      ? '–'
                      : Math.round(step.mean.power)
                    : step.mean.speed
                      ? saySpeed(step.mean.speed, reading)
                      : '–'
                }}
              </td>
              <td class="number" :data-label="texts.bpm">{{ step.mean.heartRate === null ? '–' : Math.round(step.mean.heartRate) }}</td>
              <td class="number" :data-label="texts.held3" :class="{ bad: step.held !== null && step.held < 0.5 }">
                {{ step.held === null ? '' : `${Math.round(step.held * 100)} %` }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <details v-if="asRun" class="as-run" data-test="as-run">
        <summary>{{ texts.asRunInWords }}</summary>
        <pre class="mono" tabindex="0" :aria-label="texts.theSessionWithIts">{{ asRun }}</pre>
        <p>
          <el-button @click="copy()">{{ texts.copy }}</el-button> <span role="status" class="good">{{ copied ? texts.copied : '' }}</span>
          <span class="faint">{{ texts.pastedAtTheDesk }}</span>
        </p>
      </details>
      <LazyLogWhatNext v-if="logged.session && logged.score && logged.sessionId" :logged="logged" />
      <LogFelt :id="logged.id" :felt="logged.recording.felt" />
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
.words {
  font-size: 0.875rem;
  min-width: 190px;
}
.remove {
  margin: 24px 0 0;
}
.as-run {
  margin: 12px 0;
}
.as-run pre {
  background: var(--paper);
  border: 1px solid var(--rule);
  padding: 8px 12px;
  overflow: auto;
  font-size: 0.875rem;
}
</style>
