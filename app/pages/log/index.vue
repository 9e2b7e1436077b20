<script setup lang="ts">
import { unitsOf } from '~~/core/athlete/athlete'
import { sayDistance } from '~~/core/quantity/distance'
import { sayDuration } from '~~/core/quantity/time'
import type { Listed, LogRow } from '~~/shared/api'
import { logIndexPage as texts } from '~/texts/en'

useHead({ title: 'Log · Agonis' })
const athletes = useAthleteStore()
const rows = ref<LogRow[]>([])
const total = ref(0)
const { problem, guarded } = useGuarded()
const isLoading = ref(true)

async function load(offset = 0) {
  await guarded(async () => {
    if (!athletes.isLoaded) await athletes.load()
    const found = await api<Listed<LogRow>>(`/recordings?limit=100&offset=${offset}`)
    rows.value = offset === 0 ? found.rows : [...rows.value, ...found.rows]
    total.value = found.total
  })
  isLoading.value = false
}
onMounted(() => load())
useChanges(['recording'], () => rows.value.length <= 100 && load())

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
  <div class="page">
    <h1>{{ texts.log }}</h1>
    <p v-if="problem" class="said error" role="alert">
      {{ problem.problem }} <span class="faint">{{ problem.hint }}</span>
    </p>
    <p v-if="!isLoading && rows.length === 0 && !problem" class="faint">
      {{ texts.nothingIsDoneYet }} <NuxtLink to="/watches">{{ texts.toTheWatches }}</NuxtLink>
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
      {{ texts.ofHeldTheShare(rows.length, total) }}
      <el-button v-if="rows.length < total" link type="primary" @click="load(rows.length)">{{ texts.showMore }}</el-button>
    </p>
  </div>
</template>

<style scoped>
h1 {
  margin-bottom: 12px;
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
