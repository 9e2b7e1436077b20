<script setup lang="ts">
import { sayDuration } from '~~/core/quantity/time'
import { sessionSports } from '~~/core/session/document'
import type { LogNarrowings, LogQuery } from '~~/shared/log'
import { logFind as texts } from '~/texts/en'

/** What of the log is asked for: by words, and narrowed by sport, how it was held, place, length, family and month. */
const query = defineModel<LogQuery>({ required: true })
const dates = useDates()
const words = ref(query.value.words ?? '')
const isOpen = ref(Object.keys(query.value).some(name => name !== 'words'))
const choices = shallowRef<LogNarrowings>({ months: [], families: [] })
const { problem, quietly } = useGuarded()
const choosing = useLastAsked()
const fetchChoices = () =>
  quietly(async () => {
    const isLast = choosing()
    const found = await api<LogNarrowings>(`/recordings/narrowings?${new URLSearchParams(query.value as Record<string, string>)}`)
    if (isLast()) choices.value = found
  })
const renewChoices = () => isOpen.value && fetchChoices()
watch([isOpen, query], renewChoices, { immediate: true })
useChanges(['recording'], renewChoices)

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
  for (const one of choices.value.months) counts.set(one.month.slice(0, 4), (counts.get(one.month.slice(0, 4)) ?? 0) + one.count)
  return [...counts].map(([year, count]) => ({ year, count }))
})
const held = { well: texts.heldWell, badly: texts.heldBadly, unplanned: texts.unplanned }
const options = (names: Record<string, string>) => Object.entries(names).map(([value, label]) => ({ value, label }))
const asking = (name: keyof LogQuery) => (value: string) => ask({ [name]: value || undefined })
/** The one asked for is among them, though there be none of it or many done more often. */
const familyOptions = computed(() => {
  const options = choices.value.families.map(({ family, title, count }) => ({ value: family, label: `${title} · ${count}` }))
  const asked = query.value.family
  return asked && !options.some(({ value }) => value === asked) ? [{ value: asked, label: texts.thatFamily }, ...options] : options
})
/** What is chosen from, each with what asks for nothing first. */
const narrowings = computed(() => [
  {
    name: texts.sport,
    test: 'log-sport',
    value: query.value.sport ?? '',
    any: texts.anySport,
    options: sessionSports.map(sport => ({ value: sport as string, label: sport as string })),
    ask: asking('sport'),
  },
  { name: texts.held, test: 'log-held', value: query.value.held ?? '', any: texts.anyHeld, options: options(held), ask: asking('held') },
  {
    name: texts.length,
    test: 'log-length',
    value: length.value,
    any: texts.anyLength,
    options: lengths.value.map(({ key, name }) => ({ value: key, label: name })),
    ask: askLength,
  },
  {
    name: texts.place,
    test: 'log-place',
    value: query.value.place ?? '',
    any: texts.anyPlace,
    options: options(texts.places),
    ask: asking('place'),
  },
  {
    name: texts.family,
    test: 'log-family',
    value: query.value.family ?? '',
    any: texts.anyFamily,
    options: familyOptions.value,
    ask: asking('family'),
  },
  {
    name: texts.months,
    test: 'log-month',
    value: month.value,
    any: texts.everyMonth,
    options: [
      ...years.value.map(({ year, count }) => ({ value: year, label: `${year} · ${count}` })),
      ...choices.value.months.map(one => ({ value: one.month, label: `${dates.monthOf(one.month)} · ${one.count}` })),
    ],
    ask: askMonth,
  },
])
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
        v-for="one in narrowings"
        :key="one.name"
        :empty-values="[null, undefined]"
        :model-value="one.value"
        :aria-label="one.name"
        :data-test="one.test"
        append-to="#room"
        @change="one.ask">
        <el-option value="" :label="one.any" />
        <el-option v-for="option in one.options" :key="option.value" v-bind="option" />
      </el-select>
    </div>
    <ProblemAlert v-if="isOpen" :problem="problem" />
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
.narrow .el-select {
  width: 100%;
}
.narrow {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(160px, 1fr));
  gap: 8px 14px;
  flex-basis: 100%;
}
</style>
