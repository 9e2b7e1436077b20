<script setup lang="ts">
import type { PaceReading } from '~~/core/athlete/say-target'
import { paceMetres, paceUnitWords, saySpeed } from '~~/core/athlete/say-target'
import { metresPer } from '~~/core/quantity/distance'
import { formatTime } from '~~/core/quantity/time'
import type { FamilyTrend, Trends } from '~~/shared/trends'
import { smallChart } from '~/theme/small-chart'
import { trendsFamily as texts } from '~/texts/en'

/** The sessions of one family over time, row by row: a line for each row of work, and the table below. */
const props = defineProps<{ families: Trends['families']; reading: PaceReading }>()
const dates = useDates()
const chosen = ref('')
const trend = shallowRef<FamilyTrend | null>(null)
const { problem, guarded } = useGuarded()
watch(
  () => props.families,
  families => {
    if (!families.some(({ family }) => family === chosen.value)) chosen.value = families[0]!.family
  },
  { immediate: true },
)
watch(
  chosen,
  family =>
    guarded(async () => {
      const told = await api<FamilyTrend>(`/trends/family?id=${family}`)
      if (family === chosen.value) trend.value = told
    }),
  { immediate: true },
)
const rows = computed(() => {
  const counts = new Map<string, { of: 'speed' | 'power'; count: number }>()
  for (const { rows: own } of trend.value?.done ?? [])
    for (const { path, of } of own) counts.set(path, { of, count: (counts.get(path)?.count ?? 0) + 1 })
  return [...counts]
    .filter(([, { count }]) => count > 1)
    .slice(0, 6)
    .map(([path, { of }]) => ({ path, of, words: trend.value!.words[path] ?? path }))
})
const isPace = computed(() => props.reading.startsWith('min') && rows.value.every(({ of }) => of === 'speed'))
const onAxis = (mean: number, of: 'speed' | 'power') => {
  if (of === 'power') return Math.round(mean)
  if (isPace.value) return Math.round(paceMetres[props.reading as keyof typeof paceMetres] / mean)
  return Math.round(((mean * 3600) / (props.reading === 'mi/h' ? metresPer.mi : 1000)) * 10) / 10
}
const sayMean = (mean: number, of: 'speed' | 'power') => (of === 'power' ? `${Math.round(mean)} W` : saySpeed(mean, props.reading))
/** What moves little is not drawn as if it moved much. */
const room = computed(() => (isPace.value ? 6 : rows.value.some(({ of }) => of === 'power') ? 10 : 1))
const option = computed(() => {
  const { base, text, tokens, tooltip } = smallChart()
  const dashes = ['solid', 'dashed', 'dotted'] as const
  const done = trend.value?.done ?? []
  const amount = (value: number) => (isPace.value ? formatTime(value) : String(value))
  return {
    ...base,
    tooltip: { ...tooltip, valueFormatter: (value: unknown) => (typeof value === 'number' ? amount(value) : '–') },
    grid: { left: 56, right: 170, top: 24, bottom: 24 },
    xAxis: {
      type: 'category' as const,
      data: done.map(({ day }) => dates.day(day, {})),
      axisLabel: text,
      axisLine: { lineStyle: { color: tokens.slip } },
    },
    yAxis: {
      type: 'value' as const,
      scale: true,
      min: ({ min }: { min: number }) => Math.floor(min - room.value),
      max: ({ max }: { max: number }) => Math.ceil(max + room.value),
      inverse: isPace.value,
      name: isPace.value ? paceUnitWords[props.reading] : '',
      nameLocation: isPace.value ? ('start' as const) : ('end' as const),
      nameTextStyle: text,
      splitNumber: 3,
      splitLine: { show: false },
      axisLabel: { ...text, formatter: amount, showMinLabel: false, showMaxLabel: false },
    },
    series: rows.value.map(({ path, of, words }, index) => ({
      type: 'line' as const,
      name: words,
      connectNulls: true,
      symbolSize: 6,
      lineStyle: { color: tokens.slip, width: 1.5, type: dashes[index % dashes.length]! },
      itemStyle: { color: tokens.effort },
      endLabel: { show: true, formatter: words.slice(0, 24), ...text },
      data: done.map(({ rows: own }) => {
        const row = own.find(one => one.path === path)
        return row ? onAxis(row.mean, of) : null
      }),
    })),
  }
})
</script>

<template>
  <section :aria-label="texts.families" data-test="family-trend">
    <h2>{{ texts.families }}</h2>
    <p class="onpaper">{{ families.find(({ family }) => family === chosen)?.title }}</p>
    <el-select v-model="chosen" filterable :aria-label="texts.families" append-to="#room" class="pick" data-test="pick-family">
      <el-option v-for="one in families" :key="one.family" :value="one.family" :label="texts.times(one.title, one.count)" />
    </el-select>
    <NuxtLink v-if="chosen" :to="`/log?family=${chosen}`" class="all noprint">{{ texts.inTheLog }}</NuxtLink>
    <ProblemAlert :problem="problem" />
    <template v-if="trend && rows.length > 0">
      <div class="chart"><LazyChartPicture :option="option" :label="texts.overTime" /></div>
      <div class="scroll-x">
        <table class="ruled" data-test="family-rows">
          <thead>
            <tr>
              <th>{{ texts.day }}</th>
              <th v-for="row in rows" :key="row.path" class="number mono">{{ row.words }}</th>
              <th class="number">{{ texts.bpm }}</th>
              <th class="number">{{ texts.held }}</th>
              <th class="number">{{ texts.felt }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="one in [...trend.done].reverse()" :key="one.id">
              <td>
                <NuxtLink :to="`/log/${one.id}`">{{ dates.day(one.day, { year: true }) }}</NuxtLink>
              </td>
              <td v-for="row in rows" :key="row.path" class="number">
                <template v-for="own in one.rows.filter(({ path }) => path === row.path)" :key="own.path">{{
                  sayMean(own.mean, own.of)
                }}</template>
              </td>
              <td class="number">{{ one.rows[0]?.heartRate == null ? '–' : Math.round(one.rows[0].heartRate) }}</td>
              <td class="number">{{ one.held === null ? '–' : `${Math.round(one.held * 100)} %` }}</td>
              <td class="number">{{ one.rpe ?? '–' }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </template>
    <p v-else-if="trend" class="faint">{{ texts.noRows }}</p>
  </section>
</template>

<style scoped>
h2 {
  margin: 18px 0 6px;
}
.all {
  margin-left: 14px;
}
.pick {
  max-width: 360px;
}
.chart {
  height: 240px;
  max-width: 960px;
}
</style>
