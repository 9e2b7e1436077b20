<script setup lang="ts">
import { unitsOf } from '~~/core/athlete/athlete'
import { metresPer, sayDistance } from '~~/core/quantity/distance'
import { sayToTheMinute } from '~~/core/quantity/time'
import type { Sport } from '~~/core/session/document'
import type { PeriodSum } from '~~/shared/trends'
import { smallChart } from '~/theme/small-chart'
import { trendsPeriods as texts } from '~/texts/en'

/** What weeks came to, and blocks of four of them; drawn, and as a table. */
const props = defineProps<{ weeks: PeriodSum[]; sport: Sport }>()
const athletes = useAthleteStore()
const dates = useDates()
const by = ref<'weeks' | 'blocks'>('weeks')
const unit = computed(() => unitsOf(athletes.athlete)[props.sport])

const blockWeeks = 4
/** Blocks end with the week of today, so that the last one is whole. */
const blocks = computed(() => {
  const found: PeriodSum[] = []
  for (let end = props.weeks.length; end > 0; end -= blockWeeks) {
    const part = props.weeks.slice(Math.max(0, end - blockWeeks), end)
    const sum = (of: (one: PeriodSum) => number) => part.reduce((all, one) => all + of(one), 0)
    const load = part.some(one => one.load !== null) ? sum(one => one.load ?? 0) : null
    found.unshift({
      from: part[0]!.from,
      count: sum(one => one.count),
      seconds: sum(one => one.seconds),
      metres: sum(one => one.metres),
      load,
    })
  }
  return found
})
const shown = computed(() => (by.value === 'weeks' ? props.weeks : blocks.value))
const inUnit = (metres: number) => Math.round((metres / metresPer[unit.value === 'm' ? 'm' : unit.value]) * 10) / 10
const option = computed(() => {
  const { base, text, tokens, tooltip } = smallChart()
  return {
    ...base,
    tooltip: { ...tooltip, axisPointer: { type: 'none' as const } },
    grid: { left: 56, right: 12, top: 24, bottom: 24 },
    xAxis: {
      type: 'category' as const,
      data: shown.value.map(({ from }) => dates.day(from, {})),
      axisLabel: text,
      axisTick: { show: false },
      axisLine: { lineStyle: { color: tokens.slip } },
    },
    yAxis: { type: 'value' as const, name: unit.value, nameTextStyle: text, axisLabel: text, splitLine: { show: false }, splitNumber: 3 },
    series: [
      {
        type: 'bar' as const,
        name: texts.distance,
        data: shown.value.map(({ metres }) => inUnit(metres)),
        itemStyle: { color: tokens.effort },
      },
    ],
  }
})
</script>

<template>
  <section :aria-label="texts.sums" data-test="period-sums">
    <h2>{{ texts.sums }}</h2>
    <el-radio-group v-model="by" size="small" :aria-label="texts.sums">
      <el-radio-button value="weeks" :label="texts.weeks" />
      <el-radio-button value="blocks" :label="texts.blocks" />
    </el-radio-group>
    <div class="chart"><LazyChartPicture :option="option" :label="texts.chart" /></div>
    <details>
      <summary>{{ texts.asTable }}</summary>
      <div class="scroll-x">
        <table class="ruled">
          <thead>
            <tr>
              <th>{{ texts.from }}</th>
              <th class="number">{{ texts.sessions }}</th>
              <th class="number">{{ texts.time }}</th>
              <th class="number">{{ texts.distance }}</th>
              <th class="number">{{ texts.load }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in [...shown].reverse()" :key="row.from">
              <td>{{ dates.day(row.from, { year: true }) }}</td>
              <td class="number">{{ row.count }}</td>
              <td class="number">{{ sayToTheMinute(row.seconds) }}</td>
              <td class="number">{{ sayDistance(row.metres, unit) }}</td>
              <td class="number">{{ row.load === null ? '–' : Math.round(row.load) }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </details>
  </section>
</template>

<style scoped>
h2 {
  margin: 18px 0 6px;
}
.chart {
  height: 190px;
  max-width: 820px;
}
table {
  max-width: 640px;
}
</style>
