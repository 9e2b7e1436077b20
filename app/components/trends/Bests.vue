<script setup lang="ts">
import type { PaceReading } from '~~/core/athlete/say-target'
import { paceUnitWords, saySpeed } from '~~/core/athlete/say-target'
import { sayDistance } from '~~/core/quantity/distance'
import { formatTime, sayToTheMinute } from '~~/core/quantity/time'
import type { Sport } from '~~/core/session/document'
import type { BestRow } from '~~/shared/trends'
import { trendsBests as texts } from '~/texts/en'

/** The quickest over each length, or the most power over each time: ever, and lately where that is another. */
const props = defineProps<{ bests: BestRow[]; sport: Sport; reading: PaceReading }>()
const dates = useDates()
const length = ({ metres, seconds }: BestRow) => {
  if (metres === null) return sayToTheMinute(seconds)
  if (Math.abs(metres - 1609.344) < 1) return texts.mile
  return sayDistance(metres, metres < 2000 || props.sport === 'swim' ? 'm' : 'km')
}
const said = (row: BestRow, value: number, seconds: number) =>
  row.metres === null ? `${Math.round(value)} W` : formatTime(Math.round(seconds))
</script>

<template>
  <section v-if="bests.length > 0" :aria-label="texts.bests" data-test="bests">
    <h2>{{ texts.bests }}</h2>
    <div class="scroll-x">
      <table class="ruled">
        <thead>
          <tr>
            <th class="number">{{ sport === 'ride' ? texts.over : texts.length }}</th>
            <th class="number">{{ texts.best }}</th>
            <th v-if="sport !== 'ride'" class="number">{{ paceUnitWords[reading] }}</th>
            <th>{{ texts.day }}</th>
            <th class="number">{{ texts.lately }}</th>
            <th>{{ texts.latelyOn }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in bests" :key="row.metres ?? row.seconds">
            <td class="number">{{ length(row) }}</td>
            <td class="number">{{ said(row, row.value, row.seconds) }}</td>
            <td v-if="sport !== 'ride'" class="number">{{ saySpeed(row.value, reading) }}</td>
            <td>
              <NuxtLink :to="`/log/${row.id}`">{{ dates.day(row.day, { year: true }) }}, {{ row.title }}</NuxtLink>
            </td>
            <td class="number">{{ row.lately ? said(row, row.lately.value, row.lately.seconds) : '' }}</td>
            <td>
              <NuxtLink v-if="row.lately" :to="`/log/${row.lately.id}`">{{ dates.day(row.lately.day) }}</NuxtLink>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="faint">{{ texts.fromTraining }}</p>
  </section>
</template>

<style scoped>
h2 {
  margin: 18px 0 6px;
}
table {
  max-width: 860px;
}
</style>
