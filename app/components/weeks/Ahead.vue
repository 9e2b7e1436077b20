<script setup lang="ts">
import type { KeptWatch } from '~~/shared/api'
import type { PushAhead } from '~~/shared/plan'
import { sayClock } from '~~/core/words/date'
import { actWords } from '~/watches/words'
import { weeksAhead as texts } from '~/texts/en'

/** What goes to each watch on the coming days by the athlete's ways, and at which hour by itself. */
const ahead = shallowRef<PushAhead[] | null>(null)
const dates = useDates()
const { problem, quietly } = useGuarded()
const load = () =>
  quietly(async () => {
    const watches = (await api<KeptWatch[]>('/watches')).filter(watch => watch.isPaired)
    ahead.value = await Promise.all(watches.map(({ id }) => api<PushAhead>(`/watches/${id}/ahead`)))
  })
onMounted(load)
/** Trap: to look at a watch notes what it said in its row; to look again whenever that changes would never end. */
useChanges(['plan_entry', 'holding', 'athlete_revision'], load)

const naming = { telling: texts.byTheirTitles, weekday: texts.byTheirWeekday, slot: texts.inOneSlot } as const
const pushing = { week: texts.sevenDaysAhead, today: texts.onTheirDay, hand: texts.onlyByHand } as const
function whenOf({ routine, pushing: way }: PushAhead): string {
  if (way === 'hand') return texts.youPushByHand
  return routine.hour === null ? texts.nothingGoesByItself : texts.goesByItselfAt(sayClock(routine.hour, dates.clockForm.value))
}
const eventful = (one: PushAhead) => one.days.filter(({ acts }) => acts.length > 0)
</script>

<template>
  <section v-if="ahead && ahead.length > 0" :aria-label="texts.toTheWatch" data-test="ahead">
    <h2>{{ texts.toTheWatch }}</h2>
    <ProblemAlert :problem="problem" />
    <div v-for="one in ahead" :key="one.watchId" class="one">
      <p>
        <strong>{{ one.watch }}</strong> {{ texts.ways(pushing[one.pushing], naming[one.naming]) }} {{ whenOf(one) }}
        <NuxtLink to="/watches">{{ texts.change }}</NuxtLink>
      </p>
      <p v-if="eventful(one).length === 0" class="faint">{{ texts.nothingMore }}</p>
      <details v-else>
        <summary>{{ texts.onDays(eventful(one).length) }}</summary>
        <dl>
          <template v-for="day in eventful(one)" :key="day.day">
            <dt>{{ dates.day(day.day) }}</dt>
            <dd v-for="(act, index) in day.acts" :key="index" :class="{ doubt: act.do === 'wait' || act.do === 'ask' }">
              {{ actWords(act, dates.day) }}
            </dd>
          </template>
        </dl>
      </details>
      <p v-if="!one.isSeen" class="faint">{{ texts.byLastReceipts }}</p>
    </div>
  </section>
</template>

<style scoped>
.one + .one {
  border-top: 1px solid var(--rule);
}
p {
  margin: 4px 0;
}
dl {
  margin: 4px 0;
}
dt {
  font-weight: 600;
  margin-top: 6px;
}
dd {
  margin: 0;
  overflow-wrap: anywhere;
}
</style>
