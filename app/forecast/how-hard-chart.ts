import type { HeartCourse } from '~~/core/forecast/heart-response'
import type { ReserveCourse } from '~~/core/forecast/reserve'
import { formatTime } from '~~/core/quantity/time'
import { smallChart } from '~/theme/small-chart'

const percent = (share: number) => `${Math.round(share * 100)} %`

/** The mark on the point where a course is lowest or highest, its words towards the middle of the picture. */
function markedPoint(at: readonly [number, number], words: string, last: number) {
  const { tokens, text } = smallChart()
  return {
    silent: true,
    symbol: 'circle',
    symbolSize: 7,
    itemStyle: { color: tokens.effort },
    label: {
      ...text,
      color: tokens.slip,
      position: at[0] > last * 0.9 ? ('left' as const) : ('right' as const),
      distance: 7,
      backgroundColor: tokens.paper,
      formatter: words,
    },
    data: [{ coord: [...at] }],
  }
}

const endLabel = () => ({ ...smallChart().text, position: 'end' as const, distance: 4 })

function reserveSeries({ points, least }: ReserveCourse, last: number) {
  const { tokens } = smallChart()
  const label = endLabel()
  return {
    name: 'reserve',
    type: 'line' as const,
    data: points.map(point => [point.t, point.share]),
    showSymbol: false,
    lineStyle: { color: tokens.slip, width: 1.6 },
    itemStyle: { color: tokens.slip },
    markLine: {
      silent: true,
      symbol: 'none',
      lineStyle: { color: tokens.rule, type: 'solid' as const },
      label,
      data: [
        { yAxis: 1, label: { ...label, formatter: 'full' } },
        { yAxis: 0, label: { ...label, formatter: 'empty' } },
      ],
    },
    markPoint: markedPoint([least.t, least.share], least.share < 0 ? 'beyond' : percent(least.share), last),
  }
}

function heartSeries({ points, highest, crossed }: HeartCourse, last: number, axis: number) {
  const { tokens } = smallChart()
  return {
    name: 'heart rate',
    type: 'line' as const,
    xAxisIndex: axis,
    yAxisIndex: axis,
    data: points.map(point => [point.t, point.bpm]),
    showSymbol: false,
    lineStyle: { color: tokens.effort, width: 1.4 },
    itemStyle: { color: tokens.effort },
    markPoint: markedPoint([highest.t, highest.bpm], `${Math.round(highest.bpm)} bpm`, last),
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
  item.seriesName === 'heart rate' ? `${Math.round(item.value[1])} bpm` : `${percent(item.value[1])} left`

/** Reserve and heart rate through a session, one above the other, each only where it is known. */
export function howHardChart(reserve: ReserveCourse | null, heart: HeartCourse | null) {
  const { base, tooltip } = smallChart()
  const last = (reserve?.points ?? heart?.points ?? []).at(-1)?.t ?? 1
  const heartAt = reserve ? 1 : 0
  const grids = [
    ...(reserve ? [{ left: 4, right: 44, top: 8, height: 78 }] : []),
    ...(heart ? [{ left: 4, right: 44, top: reserve ? 104 : 8, height: 58 }] : []),
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
      ...(reserve ? [{ ...axis, gridIndex: 0, min: Math.min(0, reserve.least.share), max: 1 }] : []),
      ...(heart ? [{ ...axis, gridIndex: heartAt, scale: true }] : []),
    ],
    series: [...(reserve ? [reserveSeries(reserve, last)] : []), ...(heart ? [heartSeries(heart, last, heartAt)] : [])],
  }
}
