<script setup lang="ts">
import type { Weight } from '~~/core/plan/sums'
import { sumsOf } from '~~/core/plan/sums'
import { daysFrom, daysOfWeek, weekdayOf } from '~~/core/quantity/day'
import { sayToTheMinute } from '~~/core/quantity/time'
import { sayWeekday } from '~~/core/words/date'
import type { PlanSpan } from '~~/shared/plan'
import { weeksBlock as texts } from '~/texts/en'

/** The weeks to the race, one a row: each day with what was done or is planned, and what the week comes to. */
const props = defineProps<{
  span: PlanSpan
  from: string
  weeks: number
  weights: readonly Weight[]
  races: readonly { name: string; day: string }[]
}>()
const emit = defineEmits<{ open: [week: string] }>()
const dates = useDates()
const names = computed(() => daysOfWeek(props.from).map(day => sayWeekday(weekdayOf(day), 'short')))
const rows = computed(() =>
  Array.from({ length: props.weeks }, (_, index) => {
    const week = daysFrom(props.from, 7 * index)
    const sums = sumsOf(props.weights.filter(({ day }) => day >= week && day < daysFrom(week, 7)))
    return { week, sums, days: daysOfWeek(week).map(dayAt) }
  }),
)
const most = computed(() => Math.max(1, ...rows.value.map(({ sums }) => sums.load ?? 0)))
function dayAt(iso: string) {
  const done = props.span.done.filter(({ day }) => day === iso)
  const planned = props.span.entries.filter(({ day, sessionId, kind }) => {
    if (day !== iso || kind === 'note') return false
    return iso >= props.span.today && !done.some(one => sessionId !== null && one.sessionId === sessionId)
  })
  const race = props.races.find(({ day }) => day === iso)?.name
  return { iso, race, cords: [...done, ...planned].map(({ id, cord, title }) => ({ id, cord, title })) }
}
</script>

<template>
  <table class="block" data-test="block">
    <caption class="hidden-text">
      {{
        texts.theWeeksToThe
      }}
    </caption>
    <thead>
      <tr>
        <th scope="col">{{ texts.week }}</th>
        <th v-for="name in names" :key="name" scope="col">{{ name }}</th>
        <th scope="col" class="number">{{ texts.load }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.week" :class="{ now: row.week <= span.today && span.today < daysFrom(row.week, 7) }">
        <th scope="row">
          <el-button link type="primary" @click="emit('open', row.week)">{{ dates.day(row.week, {}) }}</el-button>
        </th>
        <td v-for="day in row.days" :key="day.iso" :class="{ race: day.race }" :data-label="dates.day(day.iso)">
          <strong v-if="day.race">{{ day.race }}</strong>
          <template v-for="one in day.cords" :key="one.id">
            <SessionCord v-if="one.cord" :cord="one.cord" :width="104" />
            <small v-else class="faint">{{ one.title }}</small>
          </template>
        </td>
        <td class="number">
          <span class="bar" :style="{ width: `${((row.sums.load ?? 0) / most) * 100}%` }" aria-hidden="true" />
          {{ row.sums.load === null ? '–' : Math.round(row.sums.load) }}
          <small class="faint">{{ sayToTheMinute(row.sums.seconds) }}</small>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.block {
  width: 100%;
  border-collapse: collapse;
  table-layout: fixed;
}
th {
  text-align: left;
  font-weight: 600;
  border-bottom: 2px solid var(--slip);
  padding: 4px;
}
tbody th,
td {
  border-bottom: 1px solid var(--rule);
  padding: 5px 6px 5px 0;
  vertical-align: middle;
  overflow-wrap: anywhere;
}
tr.now {
  background: var(--lit);
}
.race strong {
  font-family: var(--title);
  display: block;
  color: var(--clay-5);
}
.number {
  text-align: right;
  font-variant-numeric: tabular-nums;
}
.bar {
  display: block;
  height: 3px;
  margin-left: auto;
  background: var(--clay-3);
}
small {
  display: block;
}
@media (max-width: 760px) {
  thead {
    display: none;
  }
  .block,
  .block tbody,
  .block tr,
  .block th,
  .block td {
    display: block;
    width: 100%;
  }
  .block td:not(.number)::before {
    content: attr(data-label);
    display: block;
    color: var(--faint);
    font-size: 0.875rem;
  }
  .block td:empty {
    display: none;
  }
}
</style>
