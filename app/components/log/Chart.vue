<script setup lang="ts">
import { metresPer } from '~~/core/quantity/distance'
import type { Recording } from '~~/core/record/recording'
import { traceOf } from '~~/core/record/trace'
import type { Score, ScoredStep } from '~~/core/record/score'
import type { ProgramStep } from '~~/core/wrist/program/program'
import type { PaceReading } from '~~/core/athlete/say-target'
import { paceMetres, paceUnitWords } from '~~/core/athlete/say-target'
import { traceChart } from '~/log/trace-chart'
import { logChart as texts } from '~/texts/en'

/** The traces over the steps, with the bands that were meant. Seen whole, or in part: by keys, by the pointer, or by a step chosen. */
const props = defineProps<{
  recording: Recording
  score: Score | null
  steps: ReadonlyMap<string, ProgramStep>
  byPower: boolean
  reading: PaceReading
  /** Metres of a length where it was swum in a pool. */
  poolLength: number | null
  /** The step that is looked at. */
  chosen: number | null
  isBusy: boolean
  wordsOf: (step: Pick<ScoredStep, 'path'>) => string
}>()
const emit = defineEmits<{ move: [index: number, startsAt: number] }>()
const last = computed(() => props.recording.samples.t.at(-1) ?? 1)
const { seen, keys, show, zoom, whole, follow } = useSeenSpan(last)
const chart = useTemplateRef<HTMLElement>('chart')
const chosenStep = computed(() => (props.chosen === null ? null : (props.score?.steps[props.chosen] ?? null)))
watch(chosenStep, step => {
  if (step?.startsAt == null || step.endsAt == null) return whole()
  const room = Math.max(20, (step.endsAt - step.startsAt) * 0.25)
  chart.value?.scrollIntoView({ block: 'nearest' })
  show(step.startsAt - room, step.endsAt - step.startsAt + 2 * room)
})

/** Slower than this nobody moves on: the trace would leave the chart. */
const slowest = 0.4
const isPace = computed(() => !props.byPower && props.reading.startsWith('min'))
/** A speed as the chart's axis counts it: seconds per unit, or the speed itself. */
const onAxis = (speed: number) => {
  if (isPace.value) return paceMetres[props.reading as keyof typeof paceMetres] / speed
  return props.reading === 'mi/h' ? (speed * 3600) / metresPer.mi : speed * 3.6
}

const intensity = computed(() => {
  const begun = (props.score?.steps ?? []).flatMap(step => step.startsAt ?? [])
  const values = traceOf(props.recording, props.byPower ? 'power' : 'pace', props.poolLength, begun)
  return props.recording.samples.t.map((time, index) => {
    const value = values[index]!
    if (props.byPower) return [time, value === null ? null : Math.round(value)]
    return [time, value === null || value < slowest ? null : onAxis(value)]
  })
})

const ribbons = computed(() =>
  (props.score?.steps ?? []).flatMap(step => {
    const target = props.steps.get(step.path)?.target
    if (!target || step.startsAt === null || step.endsAt === null) return []
    if (target.of !== (props.byPower ? 'power' : 'pace')) return []
    const value = (end: number) => (props.byPower ? end : onAxis(end))
    const [low, high] = [target.easiest ?? target.hardest! * 0.9, target.hardest ?? target.easiest! * 1.1]
    return [
      [
        { xAxis: step.startsAt, yAxis: value(low) },
        { xAxis: step.endsAt, yAxis: value(high) },
      ],
    ]
  }),
)
const starts = computed(() => (props.score?.steps ?? []).flatMap(step => (step.startsAt === null ? [] : [{ xAxis: step.startsAt }])))

const span = computed(() => {
  const values = intensity.value
    .map(([, value]) => value)
    .filter((value): value is number => value !== null)
    .sort((a, b) => a - b)
  if (values.length === 0) return { min: 0, max: 1 }
  const ends = ribbons.value.flat().map(end => end.yAxis)
  const [low, high] = [
    Math.min(values[Math.floor(values.length * 0.02)]!, ...ends),
    Math.max(values[Math.floor(values.length * 0.98)]!, ...ends),
  ]
  const room = (high - low) * 0.12 || 1
  return { min: Math.max(0, low - room), max: high + room }
})

const option = computed(() =>
  traceChart({
    name: props.byPower ? 'power' : isPace.value ? 'pace' : 'speed',
    unit: props.byPower ? 'W' : paceUnitWords[props.reading],
    intensity: intensity.value,
    heart: (props.recording.samples.heartRate ?? []).map((value, index) => [props.recording.samples.t[index]!, value]),
    last: last.value,
    seen: seen.value,
    span: span.value,
    bands: ribbons.value,
    starts: starts.value,
    meantAt: seconds => {
      const step = (props.score?.steps ?? []).find(one => one.startsAt !== null && one.startsAt <= seconds && seconds < one.endsAt!)
      return step ? props.wordsOf(step) : ''
    },
  }),
)
</script>

<template>
  <!-- eslint-disable-next-line vuejs-accessibility/no-static-element-interactions -->
  <div ref="chart" class="chart" tabindex="0" role="group" :aria-label="texts.keysOfTheChart" data-test="trace" @keydown="keys">
    <LazyChartPicture :option="option" :label="texts.andHeartRateOver(byPower ? texts.power : texts.pace)" @datazoom="follow" />
    <LazyLogStartHandle
      v-if="chosen !== null && chosenStep?.startsAt != null"
      :key="chosen"
      :starts-at="chosenStep.startsAt"
      :seen="seen"
      :least="(score?.steps[chosen - 1]?.startsAt ?? -1) + 1"
      :most="(chosenStep.endsAt ?? last) - 1"
      :is-busy="isBusy"
      @move="startsAt => emit('move', chosen!, startsAt)" />
  </div>
  <p class="faint legend">
    {{ texts.blackWhatWasDone }}
    <span class="zoom">
      <el-button link type="primary" data-test="closer" @click="zoom(0.5)">{{ texts.closer }}</el-button>
      <el-button link type="primary" @click="zoom(2)">{{ texts.wider }}</el-button>
      <el-button link type="primary" data-test="whole" @click="whole">{{ texts.whole }}</el-button>
    </span>
  </p>
</template>

<style scoped>
.legend {
  margin: 0;
  font-size: 0.88rem;
}
.chart {
  width: 100%;
  height: 350px;
  position: relative;
}
.zoom {
  display: inline-flex;
  gap: 12px;
  margin-left: 14px;
}
</style>
