<script setup lang="ts">
import { sharesOf, sumsOf } from '~~/core/plan/sums'
import { weightsOf } from '~~/core/plan/weights'
import { daysOfWeek, weekdayOf } from '~~/core/quantity/day'
import { sayToTheMinute } from '~~/core/quantity/time'
import { sayWeekday } from '~~/core/words/date'
import type { TodayPicture } from '~~/shared/plan'
import { todayWeek as texts } from '~/texts/en'

/** The week at a glance: each day with what was done or is planned. */
const props = defineProps<{ picture: TodayPicture }>()
const days = computed(() =>
  daysOfWeek(props.picture.week.from).map(iso => {
    const done = props.picture.week.done.filter(({ day }) => day === iso)
    const planned = props.picture.week.entries.filter(
      ({ day, sessionId }) => day === iso && !done.some(one => sessionId !== null && one.sessionId === sessionId),
    )
    const cords = [
      ...done.map(({ id, cord, title }) => ({ id, cord, title })),
      ...planned.map(({ id, cord, title }) => ({ id, cord, title })),
    ]
    return { iso, name: sayWeekday(weekdayOf(iso), 'short'), cords }
  }),
)
const sums = computed(() => {
  const { week, today } = props.picture
  const done = sumsOf(weightsOf([], week.done, today))
  const whole = sumsOf(weightsOf(week.entries, week.done, today))
  const shares = sharesOf(whole.domains)
  return [
    texts.doneOf(sayToTheMinute(done.seconds), sayToTheMinute(whole.seconds)),
    shares ? texts.easy(Math.round(shares.easy * 100)) : '',
  ]
    .filter(Boolean)
    .join(' · ')
})
</script>

<template>
  <section class="week" data-test="week-glance">
    <h2>
      <NuxtLink to="/weeks">{{ texts.thisWeek }}</NuxtLink>
    </h2>
    <ol>
      <li
        v-for="day in days"
        :key="day.iso"
        :class="{ now: day.iso === picture.today }"
        :aria-current="day.iso === picture.today ? 'date' : undefined">
        <span class="name">{{ day.name }}</span>
        <span class="cords">
          <template v-for="one in day.cords" :key="one.id">
            <SessionCord v-if="one.cord" :cord="one.cord" :width="220" />
            <span v-else class="faint">{{ one.title }}</span>
          </template>
          <span v-if="day.cords.length === 0" class="faint">{{ texts.nothing }}</span>
        </span>
      </li>
    </ol>
    <p class="faint">{{ sums }}</p>
  </section>
</template>

<style scoped>
.week {
  margin-top: 18px;
}
h2 a {
  color: inherit;
  text-decoration: none;
}
ol {
  list-style: none;
  margin: 0 -22px;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 56px minmax(0, 1fr);
  gap: 10px;
  align-items: center;
  padding: 6px 22px;
  min-height: 44px;
  border-top: 1px solid var(--rule);
}
li.now {
  background: var(--lit);
}
.name {
  font-family: var(--title);
  font-weight: 600;
}
.cords {
  display: grid;
  gap: 4px;
}
@media (max-width: 900px) {
  ol {
    margin: 0 -12px;
  }
  li {
    padding: 6px 12px;
  }
}
</style>
