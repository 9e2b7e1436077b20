import { formatTime } from '~~/core/quantity/time'
import { chartTokens } from '~/theme/chart'
import { logTraceChart as texts } from '~/texts/en'

export interface TraceChart {
  /** What is drawn above the heart rate, and its axis: `pace, min/km`. */
  name: 'power' | 'pace' | 'speed'
  unit: string
  /** Elapsed seconds and value, null where there is none. */
  intensity: (number | null)[][]
  heart: (number | null)[][]
  /** Elapsed seconds of the end. */
  last: number
  /** Elapsed seconds that are seen. */
  seen: { from: number; to: number }
  /** What the upper axis spans, in the unit of the intensity; of a pace seconds, smaller further up. */
  span: { min: number; max: number }
  /** Corners of the bands, as the chart library takes them. */
  bands: { xAxis: number; yAxis: number }[][]
  starts: { xAxis: number }[]
  /** What was meant at a moment, in words; empty where nothing was. */
  meantAt: (seconds: number) => string
}

/** Where the plot begins and ends, in pixels from the edges of the chart. */
export const plotEdges = { left: 58, right: 14 } as const

type Tokens = ReturnType<typeof chartTokens>
const clock = (value: number) => formatTime(Math.round(value))
const axisText = (tokens: Tokens) => ({ color: tokens.faint, fontFamily: tokens.font, fontSize: 12.5 })
const amountOf = (name: TraceChart['name']) => (value: number) => (name === 'pace' ? clock(value) : String(Math.round(value * 10) / 10))

function timeAxes({ last, seen }: TraceChart, tokens: Tokens) {
  const length = seen.to - seen.from
  const tick = [5, 10, 30, 60, 300, 600, 900, 1200, 1800, 3600, 7200].find(seconds => length / seconds <= 8) ?? 14400
  const axis = {
    type: 'value' as const,
    min: 0,
    max: Math.ceil(last),
    interval: tick,
    splitLine: { show: false },
    axisLine: { lineStyle: { color: tokens.slip } },
  }
  return [
    { ...axis, gridIndex: 0, axisLabel: { show: false } },
    { ...axis, gridIndex: 1, axisLabel: { ...axisText(tokens), formatter: clock, showMaxLabel: last % tick < 1 } },
  ]
}

function valueAxes({ name, unit, span }: TraceChart, tokens: Tokens) {
  const text = axisText(tokens)
  const isPace = name === 'pace'
  const axis = {
    type: 'value' as const,
    scale: true,
    splitNumber: 3,
    splitLine: { show: false },
    axisLabel: text,
    nameTextStyle: { ...text, align: 'left' as const },
  }
  const onMinutes = { interval: 60, min: Math.floor(span.min / 60) * 60, max: Math.ceil(span.max / 60) * 60 }
  return [
    {
      ...axis,
      ...span,
      ...(isPace && span.max - span.min < 480 ? onMinutes : {}),
      gridIndex: 0,
      inverse: isPace,
      name: `${name}, ${unit}`,
      nameLocation: isPace ? ('start' as const) : ('end' as const),
      axisLabel: { ...text, formatter: amountOf(name), showMinLabel: false, showMaxLabel: false },
    },
    { ...axis, gridIndex: 1, name: texts.heartRateBpm },
  ]
}

function series({ name, intensity, heart, bands, starts }: TraceChart, tokens: Tokens) {
  const line = (colour: string) => ({
    type: 'line' as const,
    showSymbol: false,
    sampling: 'lttb' as const,
    lineStyle: { color: colour, width: 1.4 },
    itemStyle: { color: colour },
    markLine: {
      silent: true,
      symbol: 'none',
      label: { show: false },
      lineStyle: { color: tokens.rule, type: 'solid' as const, width: 1 },
      data: starts,
    },
  })
  const markArea = { silent: true, itemStyle: { color: tokens.band, borderColor: tokens.effort, borderWidth: 0.5 }, data: bands }
  return [
    { ...line(tokens.slip), name, data: intensity, markArea },
    { ...line(tokens.effort), name: texts.heartRate, xAxisIndex: 1, yAxisIndex: 1, data: heart },
  ]
}

/** The traces of a recording over its time: intensity with the bands of the plan, heart rate below. */
export function traceChart(chart: TraceChart) {
  const tokens = chartTokens()
  const amount = amountOf(chart.name)
  const sayValue = ({ value, seriesName }: { value: [number, number | null]; seriesName: string }) => {
    const isHeart = seriesName === texts.heartRate
    const said = value[1] === null ? '–' : isHeart ? value[1] : amount(value[1])
    return `${seriesName} ${said} ${isHeart ? 'bpm' : chart.unit}`
  }
  return {
    animation: false,
    textStyle: { fontFamily: tokens.font },
    grid: [
      { left: plotEdges.left, right: plotEdges.right, top: 26, height: 168 },
      { left: plotEdges.left, right: plotEdges.right, top: 226, height: 92 },
    ],
    tooltip: {
      trigger: 'axis' as const,
      backgroundColor: tokens.paper,
      borderColor: tokens.slip,
      textStyle: { color: tokens.slip, fontSize: 13 },
      formatter: (items: unknown) => {
        const at = items as { value: [number, number | null]; seriesName: string }[]
        const meant = chart.meantAt(at[0]!.value[0])
        return [clock(at[0]!.value[0]), ...at.map(sayValue), ...(meant ? [meant] : [])].join('<br>')
      },
    },
    axisPointer: { link: [{ xAxisIndex: 'all' }] },
    dataZoom: [
      {
        type: 'inside' as const,
        xAxisIndex: [0, 1],
        filterMode: 'none' as const,
        zoomOnMouseWheel: 'ctrl' as const,
        moveOnMouseWheel: false,
        startValue: chart.seen.from,
        endValue: chart.seen.to,
        minValueSpan: 20,
      },
    ],
    xAxis: timeAxes(chart, tokens),
    yAxis: valueAxes(chart, tokens),
    series: series(chart, tokens),
  }
}
