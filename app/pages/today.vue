<script setup lang="ts">
import { daysBetween } from '~~/core/quantity/day'
import type { TodayPicture } from '~~/shared/plan'
import { todayPage as texts } from '~/texts/en'

useHead({ title: texts.todayAgonis })
const athletes = useAthleteStore()
const dates = useDates()
const picture = shallowRef<TodayPicture | null>(null)
const { problem, guarded, quietly } = useGuarded()
const asking = useLastAsked()

async function look() {
  const isLast = asking()
  if (!athletes.isLoaded) await athletes.load()
  const answer = await api<TodayPicture>('/today')
  if (isLast()) picture.value = answer
}
const load = () => guarded(look)
onMounted(load)
useChanges(['plan_entry', 'session', 'recording', 'holding', 'athlete_revision'], () => quietly(look))
/** A new day has begun while the page stood open. */
watch(() => athletes.today, load)

const race = computed(() => picture.value?.races[0] ?? null)
const daysTo = (day: string) => daysBetween(picture.value!.today, day)
const countdown = computed(() => {
  if (!race.value) return ''
  const days = daysTo(race.value.day)
  if (days === 0) return texts.isToday(race.value.name)
  return days === 1 ? texts.oneDayTo(race.value.name) : texts.daysTo(days, race.value.name)
})
</script>

<template>
  <div class="today">
    <section class="main" :aria-label="texts.today">
      <Waiting v-if="!picture && !problem" :words="texts.lookingWhatIsOn" :rows="7" />
      <ProblemAlert :problem="problem" />
      <template v-if="picture">
        <p class="date faint">
          {{ dates.day(picture.today, { weekday: 'long' }) }}<template v-if="countdown"> · {{ countdown }}</template>
        </p>
        <TodayFirstLook v-if="picture.isEmpty" @changed="load" />
        <template v-else>
          <TodaySession v-for="one in picture.sessions" :key="one.entry.id" :one="one" :today="picture.today" @changed="load" />
          <TodayNothingOn v-if="picture.sessions.length === 0" :picture="picture" @changed="load" />
          <p v-for="other in picture.others" :key="other.id" class="other" data-test="other">
            {{ other.title || (other.kind === 'blocked' ? texts.thisDayIsBlocked : texts.aRest)
            }}<span v-if="other.minutes" class="faint"> {{ texts.min(other.minutes) }}</span>
          </p>
          <TodayLast v-if="picture.last" :last="picture.last" />
        </template>
      </template>
    </section>
    <aside v-if="picture && !picture.isEmpty" class="side" :aria-label="texts.besideToday">
      <TodayDecisions :picture="picture" @changed="load" />
      <TodayWeek :picture="picture" />
    </aside>
  </div>
</template>

<style scoped>
.today {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 350px;
  min-height: 100%;
}
.main {
  padding: 22px;
  max-width: 940px;
}
.date {
  margin: 0 0 4px;
}
.other {
  border-top: 1px solid var(--rule);
  padding: 9px 0;
  margin: 0;
}
.side {
  background: var(--paper);
  border-left: 1px solid var(--rule);
  padding: 22px;
}
@media (max-width: 900px) {
  .today {
    grid-template-columns: minmax(0, 1fr);
  }
  .main {
    padding: 14px 12px;
  }
  .side {
    border-left: 0;
    border-top: 2px solid var(--slip);
    padding: 14px 12px;
  }
}
</style>
