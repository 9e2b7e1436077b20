<script setup lang="ts">
import { unitsOf } from '~~/core/athlete/athlete'
import { sayDistance } from '~~/core/quantity/distance'
import { sayDuration, sayToTheMinute } from '~~/core/quantity/time'
import type { FoundRecordings, LogQuery, LogRow } from '~~/shared/log'
import { logIndexPage as texts } from '~/texts/en'

useHead({ title: 'Log · Agonis' })
const athletes = useAthleteStore()
const rows = ref<LogRow[]>([])
const found = shallowRef<Omit<FoundRecordings, 'rows'>>({ total: 0, seconds: 0, metres: 0 })
const route = useRoute()
const query = ref<LogQuery>({ ...(route.query as LogQuery) })
const { problem, guarded, quietly } = useGuarded()
const isLoading = ref(true)
const isByHand = ref(false)
const takeIn = useTemplateRef<{ open: () => void }>('takeIn')
const page = useTemplateRef<HTMLElement>('page')
const asking = useLastAsked()
/** As many rows are shown before more are asked for: what fits a screen a few times over. */
const rowsAtFirst = 24
/** Of longer lists not all is fetched anew when something has changed. */
const most = 200

async function look(offset = 0, limit = offset === 0 ? rowsAtFirst : 100) {
  const isLast = asking()
  if (!athletes.isLoaded) await athletes.load()
  const words = new URLSearchParams({ limit: String(limit), offset: String(offset) })
  for (const [name, value] of Object.entries(query.value)) words.set(name, String(value))
  const { rows: next, ...rest } = await api<FoundRecordings>(`/recordings?${words}`)
  if (!isLast()) return
  rows.value = offset === 0 ? next : [...rows.value, ...next]
  found.value = rest
}
async function load(offset = 0) {
  await guarded(() => look(offset))
  isLoading.value = false
}
onMounted(() => load())
watch(query, () => {
  void navigateTo({ query: query.value as Record<string, string> }, { replace: true })
  void load()
})
useChanges(['recording'], () => rows.value.length <= most && quietly(() => look(0, Math.max(rowsAtFirst, rows.value.length))))
const isAsked = computed(() => Object.keys(query.value).length > 0)
const sums = computed(() => {
  const { total, seconds, metres } = found.value
  const sport = query.value.sport
  const unit = sport && sport !== 'multi' ? unitsOf(athletes.athlete)[sport] : 'km'
  return texts.sums(total, sayToTheMinute(seconds), metres > 0 ? `, ${sayDistance(metres, unit)}` : '')
})

const { dayOf: day } = useDates()
function facts(row: LogRow): string {
  const units = unitsOf(athletes.athlete)
  return [
    row.sport,
    sayDuration(row.seconds),
    row.metres === null ? '' : sayDistance(row.metres, row.sport === 'multi' ? 'km' : units[row.sport]),
    row.rpe === null ? '' : texts.feltOf10(row.rpe),
  ]
    .filter(Boolean)
    .join(' · ')
}
</script>

<template>
  <div ref="page" class="page">
    <div class="top">
      <h1>{{ texts.log }}</h1>
      <span class="acts">
        <NuxtLink to="/log/trends" data-test="trends">{{ texts.trends }}</NuxtLink>
        <el-button link type="primary" data-test="by-hand-open" @click="isByHand = !isByHand">{{ texts.byHand }}</el-button>
        <el-button type="primary" data-test="take-in-open" @click="takeIn?.open()">{{ texts.takeIn }}</el-button>
      </span>
    </div>
    <LogFind v-model="query" class="narrowed" />
    <LogTakeIn ref="takeIn" :page="page" @kept="load()" />
    <LazyLogByHand v-if="isByHand" @kept="id => navigateTo(`/log/${id}`)" @close="isByHand = false" />
    <p v-if="problem" class="said error" role="alert">
      {{ problem.problem }} <span class="faint">{{ problem.hint }}</span>
    </p>
    <p v-if="!isLoading && rows.length === 0 && !problem" class="faint">
      <template v-if="isAsked">{{ texts.nothingLikeThat }}</template>
      <template v-else
        >{{ texts.nothingIsDoneYet }} <NuxtLink to="/watches">{{ texts.toTheWatches }}</NuxtLink></template
      >
    </p>
    <ol v-else class="rows" data-test="log" :aria-busy="isLoading">
      <li v-for="row in rows" :key="row.id" data-test="row">
        <span class="day">{{ day(row.startedAt) }}</span>
        <div class="title">
          <NuxtLink :to="`/log/${row.id}`">{{ row.title }}</NuxtLink>
          <p class="faint">{{ facts(row) }}</p>
        </div>
        <SessionCord :cord="row.cord" :width="420" class="picture" />
        <p class="held">
          <span v-if="row.held !== null" :class="row.held < 0.5 ? 'bad' : 'good'">{{ texts.held(Math.round(row.held * 100)) }}</span>
          <span v-if="row.planned !== null" class="faint">{{ texts.ofSteps(row.done!, row.planned) }}</span>
        </p>
      </li>
    </ol>
    <Waiting v-if="isLoading" :words="texts.lookingInTheLog" />
    <p v-else-if="rows.length > 0" class="faint">
      {{ sums }}. {{ texts.ofHeldTheShare(rows.length, found.total) }}
      <el-button v-if="rows.length < found.total" link type="primary" @click="load(rows.length)">{{ texts.showMore }}</el-button>
    </p>
    <p class="faint">{{ texts.orDropThem }}</p>
  </div>
</template>

<style scoped>
.top {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 20px;
  align-items: center;
  margin-bottom: 12px;
}
.narrowed {
  margin-bottom: 12px;
}
.acts {
  margin-left: auto;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  align-items: center;
}
.rows {
  list-style: none;
  margin: 0;
  padding: 0;
  border-top: 2px solid var(--slip);
}
li {
  display: grid;
  grid-template-columns: 100px minmax(180px, 1fr) minmax(0, 420px) 130px;
  gap: 4px 22px;
  align-items: center;
  padding: 9px 0;
  border-bottom: 1px solid var(--rule);
}
p {
  margin: 0;
}
.title {
  overflow-wrap: anywhere;
  min-width: 0;
}
.title a {
  font-weight: 600;
}
.title p,
.held {
  font-size: 0.9rem;
}
.held {
  display: grid;
}
.rows + p {
  margin-top: 10px;
}
@media (max-width: 900px) {
  li {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .day {
    grid-column: 1 / -1;
    font-size: 0.9rem;
  }
  .picture {
    grid-column: 1 / -1;
    grid-row: 3;
  }
}
</style>
