import { smallChart } from '~/theme/small-chart'

/** The name and value of each mark on the axis, from low to high; neighbours stand on different heights. */
function markSeries(marks: readonly (readonly [string, number])[], show: (value: number) => string, low: number, high: number) {
  const { tokens, text } = smallChart()
  const alignOf = (value: number) => (value > low + (high - low) * 0.85 ? 'right' : value < low + (high - low) * 0.12 ? 'left' : 'center')
  return marks.map(([name, value], index) => ({
    value: [value, 0.5],
    label: {
      show: true,
      formatter: `${name} ${show(value)}`,
      ...text,
      color: tokens.slip,
      position: 'top' as const,
      distance: 4 + (index % 4) * 15,
      align: alignOf(value) as 'left' | 'center' | 'right',
    },
  }))
}

/**
 * Zones as one bar, their bounds below and what the athlete knows of themselves as marks above.
 *
 * @param bounds in the measure's own unit, rising
 */
export function zonesChart(bounds: readonly number[], marks: readonly (readonly [string, number])[], show: (value: number) => string) {
  const { tokens, text, base } = smallChart()
  const all = [...bounds, ...marks.map(mark => mark[1])]
  const [low, high] = [Math.min(...all), Math.max(...all)]
  const room = (high - low) * 0.06 || 1
  const edges = [low - room, ...bounds, high + room]
  const zone = (from: number, index: number) => ({
    xAxis: from,
    name: String(index + 1),
    itemStyle: { color: index % 2 === 0 ? tokens.band : tokens.paper },
    label: { ...text, position: 'inside' as const },
  })
  return {
    ...base,
    grid: { left: 8, right: 8, top: 72, height: 26 },
    xAxis: { type: 'value' as const, min: low - room, max: high + room, show: false },
    yAxis: { type: 'value' as const, min: 0, max: 1, show: false },
    series: [
      {
        type: 'scatter' as const,
        silent: true,
        symbol: 'rect',
        symbolSize: [2, 26],
        itemStyle: { color: tokens.slip },
        data: markSeries(marks, show, low, high),
        markArea: { silent: true, data: edges.slice(1).map((to, index) => [zone(edges[index]!, index), { xAxis: to }]) },
        markLine: {
          silent: true,
          symbol: 'none',
          label: { ...text, position: 'start' as const, formatter: (line: { value: number }) => show(line.value) },
          lineStyle: { color: tokens.effort, type: 'solid' as const },
          data: bounds.map(bound => ({ xAxis: bound })),
        },
      },
    ],
  }
}
