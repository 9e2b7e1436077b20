<script setup lang="ts">
import { sayDuration } from '~~/core/quantity/time'
import { sessionSports } from '~~/core/session/document'
import type { FoundRecordings, LogQuery } from '~~/shared/log'
import { logFind as texts } from '~/texts/en'

/** What of the log is asked for: by words, and narrowed by sport, how it was held, place, length and month. */
const props = defineProps<{ months: FoundRecordings['months'] }>()
const query = defineModel<LogQuery>({ required: true })
const dates = useDates()
const words = ref(query.value.words ?? '')
const isOpen = ref(Object.keys(query.value).some(name => name !== 'words'))

/** What is empty is not asked for. */
const ask = (change: LogQuery) => {
  const entries = Object.entries({ ...query.value, ...change }).filter(([, value]) => value !== undefined && value !== '')
  query.value = Object.fromEntries(entries) as LogQuery
}
watchDebounced(words, () => ask({ words: words.value.trim() }), { debounce: 150 })

const minutes = [20, 45, 75, 120] as const
const lengths = computed(() => [
  { key: 'to20', name: texts.upTo(sayDuration(minutes[0] * 60)), from: undefined, to: minutes[0] * 60 },
  ...minutes
    .slice(1)
    .map((most, index) => ({
      key: `to${most}`,
      name: texts.between(sayDuration(minutes[index]! * 60), sayDuration(most * 60)),
      from: minutes[index]! * 60,
      to: most * 60,
    })),
  { key: 'over', name: texts.over(sayDuration(minutes[3] * 60)), from: minutes[3] * 60, to: undefined },
])
const length = computed(
  () => lengths.value.find(({ from, to }) => from === query.value.secondsFrom && to === query.value.secondsTo)?.key ?? '',
)
const askLength = (key: string) => {
  const found = lengths.value.find(one => one.key === key)
  ask({ secondsFrom: found?.from, secondsTo: found?.to })
}
const lastDay = (month: string) => new Date(Date.UTC(Number(month.slice(0, 4)), Number(month.slice(5, 7)), 0)).toISOString().slice(0, 10)
const month = computed(() => {
  const { from, to } = query.value
  return from && to && from.length === 10
    ? from.slice(5) === '01-01' && to.slice(5) === '12-31'
      ? from.slice(0, 4)
      : from.slice(0, 7)
    : ''
})
const askMonth = (value: string) => {
  if (value === '') ask({ from: undefined, to: undefined })
  else if (value.length === 4) ask({ from: `${value}-01-01`, to: `${value}-12-31` })
  else ask({ from: `${value}-01`, to: lastDay(value) })
}
const years = computed(() => {
  const counts = new Map<string, number>()
  for (const one of props.months) counts.set(one.month.slice(0, 4), (counts.get(one.month.slice(0, 4)) ?? 0) + one.count)
  return [...counts].map(([year, count]) => ({ year, count }))
})
const places = Object.entries(texts.places)
const held = { well: texts.heldWell, badly: texts.heldBadly, unplanned: texts.unplanned }
const clear = () => {
  words.value = ''
  query.value = {}
}
defineExpose({ clear })
</script>

<template>
  <search class="find" :aria-label="texts.find" data-test="log-find">
    <el-input v-model="words" type="search" class="words" :placeholder="texts.words" :aria-label="texts.find" data-test="log-words" />
    <el-button :aria-expanded="isOpen" data-test="log-narrow" @click="isOpen = !isOpen">{{ texts.more }}</el-button>
    <el-button v-if="Object.keys(query).length > 0" link type="primary" data-test="log-all" @click="clear">{{ texts.all }}</el-button>
    <div v-if="isOpen" class="narrow">
      <el-select
        :empty-values="[null, undefined]"
        :model-value="query.sport ?? ''"
        :aria-label="texts.sport"
        append-to="#room"
        data-test="log-sport"
        @change="(value: string) => ask({ sport: (value || undefined) as LogQuery['sport'] })">
        <el-option value="" :label="texts.anySport" />
        <el-option v-for="sport in sessionSports" :key="sport" :value="sport" :label="sport" />
      </el-select>
      <el-select
        :empty-values="[null, undefined]"
        :model-value="query.held ?? ''"
        :aria-label="texts.held"
        append-to="#room"
        @change="(value: string) => ask({ held: (value || undefined) as LogQuery['held'] })">
        <el-option value="" :label="texts.anyHeld" />
        <el-option v-for="(name, value) in held" :key="value" :value="value" :label="name" />
      </el-select>
      <el-select :empty-values="[null, undefined]" :model-value="length" :aria-label="texts.length" append-to="#room" @change="askLength">
        <el-option value="" :label="texts.anyLength" />
        <el-option v-for="one in lengths" :key="one.key" :value="one.key" :label="one.name" />
      </el-select>
      <el-select
        :empty-values="[null, undefined]"
        :model-value="query.place ?? ''"
        :aria-label="texts.place"
        append-to="#room"
        @change="(value: string) => ask({ place: value || undefined })">
        <el-option value="" :label="texts.anyPlace" />
        <el-option v-for="[value, name] in places" :key="value" :value="value" :label="name" />
      </el-select>
      <el-select
        :empty-values="[null, undefined]"
        :model-value="month"
        :aria-label="texts.months"
        append-to="#room"
        data-test="log-month"
        @change="askMonth">
        <el-option value="" :label="texts.everyMonth" />
        <el-option v-for="one in years" :key="one.year" :value="one.year" :label="`${one.year} · ${one.count}`" />
        <el-option v-for="one in months" :key="one.month" :value="one.month" :label="`${dates.monthOf(one.month)} · ${one.count}`" />
      </el-select>
    </div>
  </search>
</template>

<style scoped>
.find {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
  flex: 1;
}
.words {
  flex: 1;
  min-width: 180px;
  max-width: 420px;
}
.narrow {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(160px, 1fr));
  gap: 8px 14px;
  flex-basis: 100%;
}
</style>
