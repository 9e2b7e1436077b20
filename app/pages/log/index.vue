<script setup lang="ts">
import { unitsOf } from '~~/core/athlete/athlete'
import { sayDistance } from '~~/core/quantity/distance'
import { sayDuration } from '~~/core/quantity/time'
import type { Listed, LogRow } from '~~/shared/api'

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

const day = (iso: string) => dayOfInstant(iso, athletes.standpoint.zone)
const way = (row: LogRow) => {
  if (row.metres === null) return '–'
  const units = unitsOf(athletes.athlete)
  return sayDistance(row.metres, row.sport === 'multi' ? 'km' : units[row.sport])
}
</script>

<template>
  <div class="page">
    <h1>Log</h1>
    <p v-if="problem" class="said error" role="alert">
      {{ problem.problem }} <span class="faint">{{ problem.hint }}</span>
    </p>
    <p v-if="!isLoading && rows.length === 0 && !problem" class="faint">
      Nothing is done yet. Send a session to a watch and carry it out: the recording comes home to this page.
    </p>
    <div v-else class="scroll-x">
      <table class="ruled" data-test="log">
        <thead>
          <tr>
            <th>Day</th>
            <th>Session</th>
            <th class="sport">Sport</th>
            <th class="number">Time</th>
            <th class="number">Distance</th>
            <th class="number sport">Steps done</th>
            <th class="number">Held</th>
            <th class="number sport">Felt</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.id">
            <td class="day">{{ day(row.startedAt) }}</td>
            <td>
              <NuxtLink :to="`/log/${row.id}`">{{ row.title }}</NuxtLink>
              <SessionCord :cord="row.cord" />
            </td>
            <td class="sport">{{ row.sport }}</td>
            <td class="number">{{ sayDuration(row.seconds) }}</td>
            <td class="number">{{ way(row) }}</td>
            <td class="number sport">{{ row.planned === null ? '–' : `${row.done} of ${row.planned}` }}</td>
            <td class="number" :class="{ bad: row.held !== null && row.held < 0.5 }">
              {{ row.held === null ? '–' : `${Math.round(row.held * 100)} %` }}
            </td>
            <td class="number sport">{{ row.rpe ?? '–' }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="faint">
      {{ rows.length }} of {{ total }}. Held: the share of the steps with a target that was inside the band. Felt: effort from 0 to 10.
      <button v-if="rows.length < total" class="plain" @click="load(rows.length)">Show more</button>
    </p>
  </div>
</template>

<style scoped>
h1 {
  margin-bottom: 12px;
}
.day {
  white-space: nowrap;
}
@media (max-width: 640px) {
  .sport {
    display: none;
  }
}
</style>
