import type { HeartCourse } from '~~/core/forecast/heart-response'
import { levelBounds } from '~~/core/forecast/level'
import type { UsedCourse } from '~~/core/forecast/share-used'
import { formatTime } from '~~/core/quantity/time'
import { smallChart } from '~/theme/small-chart'
import { forecastHowHardChart as texts } from '~/texts/en'

const percent = (share: number) => `${Math.round(share * 100)} %`

/** The mark on the point where a course is highest, its words above it. */
function markedPoint(at: readonly [number, number], words: string) {
  const { tokens, text } = smallChart()
  return {
    silent: true,
    symbol: 'circle',
    symbolSize: 7,
    itemStyle: { color: tokens.effort },
    label: { ...text, color: tokens.slip, position: 'top' as const, distance: 7, backgroundColor: tokens.paper, formatter: words },
    data: [{ coord: [...at] }],
  }
}

const endLabel = () => ({ ...smallChart().text, position: 'end' as const, distance: 4 })

/** Where each level begins, from easy to race. */
const boundWords = levelBounds.map(([, below], index) => [below, ['steady', 'hard', 'race', 'beyond'][index]!] as const)

/** At most so much is shown: what is far beyond needs no scale. */
const mostShown = 1.6

function usedSeries({ points, most }: UsedCourse) {
  const { tokens } = smallChart()
  const label = endLabel()
  const top = topOf(most.used)
  return {
    name: texts.shareUsed,
    type: 'line' as const,
    data: points.map(point => [point.t, Math.min(point.used, mostShown)]),
    showSymbol: false,
    lineStyle: { color: tokens.slip, width: 1.6 },
    itemStyle: { color: tokens.slip },
    markLine: {
      silent: true,
      symbol: 'none',
      lineStyle: { color: tokens.rule, type: 'solid' as const },
      label,
      data: boundWords
        .filter(([at]) => at <= top && (at > levelBounds[0]![1] || top < 1))
        .map(([at, words]) => ({ yAxis: at, label: { ...label, formatter: words } })),
    },
    markPoint: markedPoint([most.t, Math.min(most.used, mostShown)], percent(most.used)),
  }
}

/** The bound above the most that is used, so that there is always one to look up to. */
const topOf = (used: number) => levelBounds.find(([, below]) => used < below)?.[1] ?? mostShown

function heartSeries({ points, highest, crossed }: HeartCourse, axis: number) {
  const { tokens } = smallChart()
  return {
    name: texts.heartRate,
    type: 'line' as const,
    xAxisIndex: axis,
    yAxisIndex: axis,
    data: points.map(point => [point.t, point.bpm]),
    showSymbol: false,
    lineStyle: { color: tokens.effort, width: 1.4 },
    itemStyle: { color: tokens.effort },
    markPoint: markedPoint([highest.t, highest.bpm], texts.bpm(Math.round(highest.bpm))),
    ...(crossed
      ? {
          markLine: {
            silent: true,
            symbol: 'none',
            lineStyle: { color: tokens.effort, type: 'dashed' as const },
            label: { ...endLabel(), formatter: `${Math.round(crossed.above)}` },
            data: [{ yAxis: crossed.above }],
          },
        }
      : {}),
  }
}

const sayPoint = (item: { value: [number, number]; seriesName: string }) =>
  item.seriesName === texts.heartRate ? texts.bpm2(Math.round(item.value[1])) : texts.used(percent(item.value[1]))

/** Share used and heart rate through a session, one above the other, each only where it is known. */
export function howHardChart(used: UsedCourse | null, heart: HeartCourse | null) {
  const { base, tooltip } = smallChart()
  const last = (used?.points ?? heart?.points ?? []).at(-1)?.t ?? 1
  const heartAt = used ? 1 : 0
  const grids = [
    ...(used ? [{ left: 4, right: 50, top: 22, height: 68 }] : []),
    ...(heart ? [{ left: 4, right: 50, top: used ? 112 : 22, height: 52 }] : []),
  ]
  const axis = { type: 'value' as const, show: false }
  return {
    ...base,
    grid: grids,
    tooltip: {
      ...tooltip,
      formatter: (items: unknown) => {
        const at = items as { value: [number, number]; seriesName: string }[]
        return [formatTime(Math.round(at[0]!.value[0])), ...at.map(sayPoint)].join('<br>')
      },
    },
    axisPointer: { link: [{ xAxisIndex: 'all' }] },
    xAxis: grids.map((_, index) => ({ ...axis, min: 0, max: last, gridIndex: index })),
    yAxis: [
      ...(used ? [{ ...axis, gridIndex: 0, min: 0, max: topOf(used.most.used) }] : []),
      ...(heart ? [{ ...axis, gridIndex: heartAt, scale: true }] : []),
    ],
    series: [...(used ? [usedSeries(used)] : []), ...(heart ? [heartSeries(heart, heartAt)] : [])],
  }
}
