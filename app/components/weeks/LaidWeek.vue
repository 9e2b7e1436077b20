<script setup lang="ts">
import type { LaidDay, LaidWeek, ShelvedSession } from '~~/core/plan/shape'
import { sayToTheMinute } from '~~/core/quantity/time'
import type { LaidSession } from '~~/shared/plan'
import { weeksLaidWeek as texts } from '~/texts/en'

/** One week of a shape as it is proposed: each day with its session, and another one at a press. */
const props = defineProps<{ week: LaidWeek; sessions: Record<string, LaidSession>; chosen: (day: LaidDay) => ShelvedSession | undefined }>()
const emit = defineEmits<{ another: [day: LaidDay] }>()
const dates = useDates()
const isFull = computed(() => props.week.days.every(({ isTaken }) => isTaken))
const sums = computed(() => {
  const all = props.week.days.flatMap(day => props.chosen(day) ?? [])
  if (isFull.value) return texts.allTaken
  if (all.length === 0) return texts.nothingOf(sayToTheMinute(props.week.aimSeconds))
  const load = all.reduce((sum, { id }) => sum + (props.sessions[id]?.load ?? 0), 0)
  return texts.ofAimed(
    sayToTheMinute(all.reduce((sum, { seconds }) => sum + seconds, 0)),
    sayToTheMinute(props.week.aimSeconds),
    Math.round(load),
  )
})
function whyNone(day: LaidDay): string {
  if (day.isTaken) return texts.isTaken
  if (day.part === 'rest') return texts.rest
  return day.fitting.length === 0 ? texts.nothingFits(sayToTheMinute(day.aimSeconds)) : texts.leftFree
}
</script>

<template>
  <h3>
    {{ dates.day(week.from, {}) }} <span class="faint">{{ sums }}</span>
  </h3>
  <ul v-if="!isFull">
    <li v-for="day in week.days" :key="day.day" data-test="laid-day">
      <span class="name">{{ dates.day(day.day) }}</span>
      <template v-if="chosen(day)">
        <span
          >{{ chosen(day)!.title }} <small class="faint">{{ sayToTheMinute(chosen(day)!.seconds) }}, {{ chosen(day)!.level }}</small></span
        >
        <SessionCord :cord="sessions[chosen(day)!.id]?.cord ?? null" :width="200" />
      </template>
      <span v-else class="faint">{{ whyNone(day) }}</span>
      <el-button
        v-if="day.fitting.length > 0"
        link
        type="primary"
        :aria-label="texts.anotherFor(dates.day(day.day))"
        @click="emit('another', day)"
        >{{ texts.another }}</el-button
      >
    </li>
  </ul>
</template>

<style scoped>
h3 {
  font-size: 1rem;
  margin: 10px 0 2px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 92px minmax(0, 1fr) minmax(0, 200px) auto;
  gap: 2px 12px;
  align-items: center;
  border-top: 1px solid var(--rule);
  padding: 3px 0;
}
li > .faint {
  grid-column: 2 / 4;
}
@media (max-width: 760px) {
  li {
    grid-template-columns: 80px minmax(0, 1fr) auto;
  }
  li > :deep(svg) {
    display: none;
  }
  li > .faint {
    grid-column: 2;
  }
}
</style>
