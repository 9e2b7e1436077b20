<script setup lang="ts">
import { VueDraggable } from 'vue-draggable-plus'
import { balanceOf } from '~~/core/plan/balance'
import type { BalanceSuggestion } from '~~/core/plan/balance'
import { weightsOf } from '~~/core/plan/weights'
import { daysBetween, daysFrom, daysOfWeek, weekdayOf, weekOf } from '~~/core/quantity/day'
import type { Sport } from '~~/core/session/document'
import { sayWeekday } from '~~/core/words/date'
import type { FilledWeek, PlanRow } from '~~/shared/plan'
import { weeksPage as texts } from '~/texts/en'

useHead({ title: 'Weeks · Agonis' })
const route = useRoute()
const athletes = useAthleteStore()
const dates = useDates()
const handover = useHandoverStore()
const weekOfDay = (day: string) => weekOf(day, athletes.athlete.weekStart ?? 1)
/** A day of the week that is looked at; null for this week. */
const lookedAt = ref<string | null>(null)
const firstDay = computed(() => weekOfDay(lookedAt.value ?? athletes.today))
const view = ref<'week' | 'block'>('week')
const weeksBefore = 4
const races = computed(() =>
  [
    ...(athletes.athlete.goals ?? []).map(({ name, date }) => ({ name, day: date })),
    ...(span.value?.entries ?? []).filter(({ kind }) => kind === 'race').map(({ title, day }) => ({ name: title, day })),
  ].filter(({ day }) => day >= firstDay.value),
)
/** Weeks to the last race there is, or five; no more than a page holds. */
const blockWeeks = computed(() => {
  const last = (athletes.athlete.goals ?? [])
    .map(({ date }) => date)
    .filter(day => day >= firstDay.value)
    .sort()
    .at(-1)
  const weeks = last ? daysBetween(firstDay.value, weekOfDay(last)) / 7 + 1 : 5
  return Math.min(Math.max(weeks, 2), 26)
})
const { span, problem, isBusy, load, lookAgain, edit, undo, dismiss, guarded } = usePlan(
  () => daysFrom(firstDay.value, -7 * weeksBefore),
  () => daysFrom(firstDay.value, 7 * (view.value === 'block' ? blockWeeks.value : 1) - 1),
)
const days = computed(() => daysOfWeek(firstDay.value).map(iso => ({ iso, name: sayWeekday(weekdayOf(iso)), date: dates.day(iso, {}) })))
const entries = ref<Record<string, PlanRow[]>>({})
watch([span, days], () => {
  entries.value = Object.fromEntries(days.value.map(({ iso }) => [iso, (span.value?.entries ?? []).filter(row => row.day === iso)]))
})
const doneOn = (iso: string) => (span.value?.done ?? []).filter(({ day }) => day === iso)
const doneOf = ({ day, sessionId }: PlanRow) => (sessionId === null ? undefined : doneOn(day).find(one => one.sessionId === sessionId))
const besidePlan = (iso: string) =>
  doneOn(iso).filter(one => !(entries.value[iso] ?? []).some(({ sessionId }) => sessionId !== null && sessionId === one.sessionId))
const isEmpty = computed(() => days.value.every(({ iso }) => (entries.value[iso] ?? []).length === 0 && doneOn(iso).length === 0))
const weights = computed(() => (span.value ? weightsOf(span.value.entries, span.value.done, span.value.today) : []))
const suggestions = computed(() => {
  if (!span.value) return []
  const inWeek = span.value.entries.filter(({ day }) => day >= firstDay.value && day < daysFrom(firstDay.value, 7))
  const rows = inWeek.map(row => ({ ...row, session: row.sessionId, sport: row.sport as Sport | null }))
  const asked = { week: firstDay.value, today: span.value.today, weights: weights.value, entries: rows, races: races.value }
  const { dismissed } = span.value
  return balanceOf(asked).filter(({ key, code }) => !dismissed.includes(key) && !dismissed.includes(code))
})
const take = ({ fix }: BalanceSuggestion) => {
  const row = span.value!.entries.find(({ id }) => id === fix!.id)!
  return edit({ do: 'move', id: row.id, day: fix!.day, was: { day: row.day } })
}

const lookAt = (day: string | null) => {
  lookedAt.value = day
  return load()
}
const show = (shown: 'week' | 'block') => {
  view.value = shown
  return load()
}
const addingTo = ref<string | null>(null)
/** A session that is to be put on a day, brought from the Shelf or the Desk. */
const bringing = ref<{ id: string; title: string } | null>(null)
const bring = (day: string) => {
  const { id } = bringing.value!
  bringing.value = null
  return edit({ do: 'put', day, kind: 'session', session: id })
}
/** A row let go on another day or at another place: kept there, or put back when the server refuses. */
function onDrop(day: string, event: { newIndex?: number }) {
  const at = event.newIndex ?? 0
  const row = entries.value[day]?.[at]
  if (row) void edit({ do: 'move', id: row.id, day, at, was: { day: row.day } })
}

const text = ref('')
const isFilling = ref(false)
const textKey = 'agonis.week-text'
watch(text, words => {
  try {
    if (words === '') sessionStorage.removeItem(textKey)
    else sessionStorage.setItem(textKey, words)
  } catch {
    return
  }
})
/** A message was kept: on to the first day it spoke of. */
const filled = ref<FilledWeek | null>(null)
function onFilled(first: string | undefined, told: FilledWeek) {
  filled.value = told
  text.value = ''
  isFilling.value = false
  return lookAt(first ?? lookedAt.value)
}

useChanges(['plan_entry', 'recording'], lookAgain)
onMounted(() =>
  guarded(async () => {
    text.value = handover.takeForWeeks() ?? sessionStorage.getItem(textKey) ?? ''
    isFilling.value = text.value !== ''
    if (!athletes.isLoaded) await athletes.load()
    const { put } = route.query
    if (typeof put === 'string') {
      const { title } = await api<{ title: string }>(`/sessions/${put}`)
      bringing.value = { id: put, title }
    }
    await load()
  }),
)
</script>

<template>
  <div class="weeks">
    <div class="page left">
      <div class="top">
        <h1>{{ texts.to(dates.day(firstDay, {}), dates.day(daysFrom(firstDay, 6), { year: true })) }}</h1>
        <el-radio-group :model-value="view" :aria-label="texts.whatIsShown" @change="show($event as 'week' | 'block')">
          <el-radio-button value="week">{{ texts.week }}</el-radio-button>
          <el-radio-button value="block">{{ texts.toTheRace }}</el-radio-button>
        </el-radio-group>
      </div>
      <div class="tools">
        <el-button @click="lookAt(daysFrom(firstDay, -7))">{{ texts.weekBefore }}</el-button>
        <el-button :disabled="lookedAt === null" data-test="this-week" @click="lookAt(null)">{{ texts.thisWeek }}</el-button>
        <el-button @click="lookAt(daysFrom(firstDay, 7))">{{ texts.weekAfter }}</el-button>
        <AfterRoom><LazyWeeksJump @jump="lookAt" /></AfterRoom>
      </div>
      <div class="tools">
        <el-button type="primary" :aria-expanded="isFilling" data-test="fill" @click="isFilling = !isFilling">{{
          texts.fillFromAMessage
        }}</el-button>
        <template v-if="span">
          <LazyWeeksWholeWeek :week="firstDay" :today="span.today" :is-busy="isBusy" @edit="edit" />
          <LazyWeeksFromShape :week="firstDay" :is-busy="isBusy" :races="races" @edit="edit" />
          <LazyWeeksPassOn :week="firstDay" :entries="span.entries" />
          <LazyWeeksCalendars @taken="load" />
        </template>
      </div>
      <ProblemAlert :problem="problem" />
      <p v-if="span?.undo" class="said note" role="status" data-test="plan-undo">
        {{ span.undo.said }}.
        <el-button link type="primary" :disabled="isBusy" data-test="undo-plan" @click="undo">{{ texts.undo }}</el-button>
      </p>
      <p v-if="bringing" class="said ask" role="status" data-test="bringing">
        {{ texts.onWhichDay(bringing.title) }}
        <el-button link type="primary" @click="bringing = null">{{ texts.leaveIt }}</el-button>
      </p>
      <LazyWeeksFilled v-if="filled" :told="filled" @close="filled = null" />
      <LazyWeeksFillFromMessage v-if="isFilling" v-model="text" :week="firstDay" @kept="onFilled" />
      <Waiting v-if="!span && !problem" :words="texts.fetchingTheWeek" :rows="7" />
      <LazyWeeksBlock
        v-if="view === 'block' && span"
        :span="span"
        :from="firstDay"
        :weeks="blockWeeks"
        :weights="weights"
        :races="races"
        @open="(week: string) => ((view = 'week'), lookAt(week))" />
      <template v-else>
        <p v-if="span && isEmpty" class="faint">{{ texts.nothingIsPlannedThis }}</p>
        <ol class="week">
          <li v-for="day in days" :key="day.iso" :class="{ today: day.iso === athletes.today }" :data-day="day.iso">
            <h2>
              {{ day.name }} <span class="faint">{{ day.date }}{{ day.iso === athletes.today ? texts.today : '' }}</span>
            </h2>
            <div>
              <strong v-for="race in races.filter(one => one.day === day.iso)" :key="race.name" class="goal">{{ race.name }}</strong>
              <VueDraggable
                v-if="entries[day.iso]"
                v-model="entries[day.iso]!"
                class="entries"
                group="week"
                :animation="0"
                :delay="150"
                :delay-on-touch-only="true"
                @add="(event: { newIndex?: number }) => onDrop(day.iso, event)"
                @update="(event: { newIndex?: number }) => onDrop(day.iso, event)">
                <WeeksEntry
                  v-for="(row, index) in entries[day.iso]"
                  :key="row.id"
                  :row="row"
                  :days="days"
                  :today="athletes.today"
                  :done="doneOf(row)"
                  :is-first="index === 0"
                  @edit="edit" />
              </VueDraggable>
              <p v-for="one in besidePlan(day.iso)" :key="one.id" class="done" data-test="done-beside">
                <span class="good">✓</span> <NuxtLink :to="`/log/${one.id}`">{{ one.title }}</NuxtLink>
                <SessionCord :cord="one.cord" :width="220" />
              </p>
            </div>
            <el-button v-if="bringing" size="small" data-test="bring-here" :data-day="day.iso" @click="bring(day.iso)">{{
              texts.here
            }}</el-button>
            <el-button
              v-else
              link
              type="primary"
              class="add"
              :aria-label="texts.putSomethingOn(day.name)"
              :aria-expanded="addingTo === day.iso"
              data-test="add"
              @click="addingTo = addingTo === day.iso ? null : day.iso"
              >{{ texts.add }}</el-button
            >
            <LazyWeeksAddTo
              v-if="addingTo === day.iso"
              class="adding"
              :day="day.iso"
              :day-name="day.name"
              @edit="edit"
              @close="addingTo = null" />
          </li>
        </ol>
      </template>
    </div>
    <aside v-if="span && view === 'week'" class="side" :aria-label="texts.besideTheWeek">
      <WeeksSums :week="firstDay" :weights="weights" />
      <AfterRoom><LazyWeeksAhead /></AfterRoom>
      <WeeksThoughts :suggestions="suggestions" :is-busy="isBusy" @take="take" @dismiss="dismiss" />
    </aside>
  </div>
</template>

<style scoped src="./weeks.css"></style>
