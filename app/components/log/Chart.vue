<script setup lang="ts">
import { metresPer } from '~~/core/quantity/distance'
import { LineChart } from 'echarts/charts'
import { GridComponent, MarkAreaComponent, MarkLineComponent, TooltipComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { CanvasRenderer } from 'echarts/renderers'
import VChart from 'vue-echarts'
import type { Recording } from '~~/core/record/recording'
import type { Score } from '~~/core/record/score'
import { formatTime } from '~~/core/quantity/time'
import type { ProgramStep } from '~~/core/wrist/program/program'
import type { PaceReading } from '~~/core/athlete/say-target'
import { paceUnitWords } from '~~/core/athlete/say-target'
import { chartTokens } from '~/theme/chart'

use([LineChart, GridComponent, MarkAreaComponent, MarkLineComponent, TooltipComponent, CanvasRenderer])

const props = defineProps<{
  recording: Recording
  score: Score | null
  steps: ReadonlyMap<string, ProgramStep>
  byPower: boolean
  reading: PaceReading
}>()

const smoothing = 10
const paceMetres = { 'min/km': 1000, 'min/mi': metresPer.mi, 'min/100m': 100 } as const
const isPace = computed(() => !props.byPower && props.reading.startsWith('min'))
/** A speed as the chart's axis counts it: seconds per unit, or the speed itself. */
const onAxis = (speed: number) => {
  if (isPace.value) return paceMetres[props.reading as keyof typeof paceMetres] / speed
  return props.reading === 'mi/h' ? (speed * 3600) / metresPer.mi : speed * 3.6
}

const intensity = computed(() => {
  const { t, metres, power } = props.recording.samples
  return t.map((time, index) => {
    const from = Math.max(0, index - smoothing)
    if (props.byPower) {
      const values = (power ?? []).slice(from, index + 1).filter(value => value !== null)
      return [time, values.length === 0 ? null : Math.round(values.reduce((sum, value) => sum + value, 0) / values.length)]
    }
    const [a, b] = [metres[from], metres[index]]
    const speed = typeof a === 'number' && typeof b === 'number' && index > from ? (b - a) / (time - t[from]!) : null
    return [time, speed === null || speed < 0.5 ? null : onAxis(speed)]
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

const option = computed(() => {
  const tokens = chartTokens()
  const clock = (value: number) => formatTime(Math.round(value))
  const amount = (value: number) => (isPace.value ? formatTime(Math.round(value)) : String(Math.round(value * 10) / 10))
  const last = props.recording.samples.t.at(-1) ?? 1
  const tick = [60, 300, 600, 900, 1200, 1800, 3600, 7200].find(seconds => last / seconds <= 8) ?? 14400
  const text = { color: tokens.faint, fontFamily: tokens.font, fontSize: 12.5 }
  const heart = (props.recording.samples.heartRate ?? []).map((value, index) => [props.recording.samples.t[index], value])
  const boundaries = {
    silent: true,
    symbol: 'none',
    label: { show: false },
    lineStyle: { color: tokens.rule, type: 'solid' as const, width: 1 },
    data: starts.value,
  }
  const xAxis = {
    type: 'value' as const,
    min: 0,
    max: Math.ceil(last),
    interval: tick,
    splitLine: { show: false },
    axisLine: { lineStyle: { color: tokens.slip } },
  }
  const yAxis = {
    type: 'value' as const,
    scale: true,
    splitNumber: 3,
    splitLine: { show: false },
    axisLabel: text,
    nameTextStyle: { ...text, align: 'left' as const },
  }
  return {
    animation: false,
    textStyle: { fontFamily: tokens.font },
    grid: [
      { left: 58, right: 14, top: 26, height: 168 },
      { left: 58, right: 14, top: 226, height: 92 },
    ],
    tooltip: {
      trigger: 'axis' as const,
      backgroundColor: tokens.paper,
      borderColor: tokens.slip,
      textStyle: { color: tokens.slip, fontSize: 13 },
      formatter: (items: unknown) =>
        (items as { value: [number, number | null]; seriesName: string }[])
          .map(
            (item, index) =>
              `${index === 0 ? `${clock(item.value[0])}<br>` : ''}${item.seriesName} ` +
              `${item.value[1] === null ? '–' : item.seriesName === 'heart rate' ? item.value[1] : amount(item.value[1])}`,
          )
          .join('<br>'),
    },
    axisPointer: { link: [{ xAxisIndex: 'all' }] },
    xAxis: [
      { ...xAxis, gridIndex: 0, axisLabel: { show: false } },
      { ...xAxis, gridIndex: 1, axisLabel: { ...text, formatter: clock, showMaxLabel: last % tick < 1 } },
    ],
    yAxis: [
      {
        ...yAxis,
        ...span.value,
        gridIndex: 0,
        inverse: isPace.value,
        ...(isPace.value && span.value.max - span.value.min < 480
          ? { interval: 60, min: Math.floor(span.value.min / 60) * 60, max: Math.ceil(span.value.max / 60) * 60 }
          : {}),
        name: props.byPower
          ? 'power, W'
          : isPace.value
            ? `pace, ${paceUnitWords[props.reading]}`
            : `speed, ${paceUnitWords[props.reading]}`,
        nameLocation: isPace.value ? ('start' as const) : ('end' as const),
        axisLabel: { ...text, formatter: amount, showMinLabel: false, showMaxLabel: false },
      },
      { ...yAxis, gridIndex: 1, name: 'heart rate, bpm' },
    ],
    series: [
      {
        name: props.byPower ? 'power' : isPace.value ? 'pace' : 'speed',
        type: 'line' as const,
        data: intensity.value,
        showSymbol: false,
        sampling: 'lttb' as const,
        lineStyle: { color: tokens.slip, width: 1.4 },
        itemStyle: { color: tokens.slip },
        markArea: { silent: true, itemStyle: { color: tokens.band, borderColor: tokens.effort, borderWidth: 0.5 }, data: ribbons.value },
        markLine: boundaries,
      },
      {
        name: 'heart rate',
        type: 'line' as const,
        xAxisIndex: 1,
        yAxisIndex: 1,
        data: heart,
        showSymbol: false,
        sampling: 'lttb' as const,
        lineStyle: { color: tokens.effort, width: 1.4 },
        itemStyle: { color: tokens.effort },
        markLine: boundaries,
      },
    ],
  }
})
</script>

<template>
  <VChart
    class="chart"
    :option="option"
    autoresize
    role="img"
    :aria-label="`${byPower ? 'Power' : 'Pace'} and heart rate over time; the table below says the same step by step`" />
</template>

<style scoped>
.chart {
  width: 100%;
  height: 350px;
}
</style>
