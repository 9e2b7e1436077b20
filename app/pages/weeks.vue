<script setup lang="ts">
import { VueDraggable } from 'vue-draggable-plus'
import { daysFrom, weekdayOf, weekOf } from '~~/core/quantity/day'
import { sayDuration } from '~~/core/quantity/time'
import { sayWeekday } from '~~/core/words/date'
import type { Listed, PlanRow, ShelfRow } from '~~/shared/api'
import { weeksPage as texts } from '~/texts/en'

useHead({ title: 'Weeks · Agonis' })
const athletes = useAthleteStore()
const dates = useDates()
const handover = useHandoverStore()
const { problem, guarded } = useGuarded()
const weekOfDay = (day: string) => weekOf(day, athletes.athlete.weekStart ?? 1)
/** A day of the week that is looked at; null for this week. */
const lookedAt = ref<string | null>(null)
const firstDay = computed(() => weekOfDay(lookedAt.value ?? athletes.today))
const entries = ref<Record<string, PlanRow[]>>({})
const text = ref('')
const isFilling = ref(false)
const found = ref<ShelfRow[]>([])
const search = ref('')
const putOn = ref<string | null>(null)
const textKey = 'agonis.week-text'

const days = computed(() =>
  Array.from({ length: 7 }, (_, offset) => daysFrom(firstDay.value, offset)).map(iso => ({
    iso,
    name: sayWeekday(weekdayOf(iso)),
    date: dates.day(iso, {}),
  })),
)
const isLoaded = ref(false)
const isEmpty = computed(() => Object.values(entries.value).every(rows => rows.length === 0))

async function load() {
  const rows = await api<PlanRow[]>(`/plan?from=${days.value[0]!.iso}&to=${days.value[6]!.iso}`)
  isLoaded.value = true
  entries.value = Object.fromEntries(days.value.map(({ iso }) => [iso, rows.filter(row => row.day === iso)]))
}
const go = (weeks: number) =>
  guarded(async () => {
    lookedAt.value = daysFrom(firstDay.value, 7 * weeks)
    await load()
  })
const move = (row: PlanRow, day: string) =>
  guarded(async () => {
    await api(`/plan/${row.id}`, { method: 'PUT', body: { day } })
    await load()
  })
const takenOff = ref<PlanRow | null>(null)
const takeOff = (row: PlanRow) =>
  guarded(async () => {
    await api(`/plan/${row.id}`, { method: 'DELETE' })
    takenOff.value = row
    await load()
  })
const put = (session: string, day: string) =>
  guarded(async () => {
    await api('/plan', { method: 'POST', body: { session, day } })
    putOn.value = null
    takenOff.value = null
    await load()
  })
/** A row let go on another day: kept there, or put back when the server refuses. */
function onDrop(day: string, event: { newIndex?: number }) {
  const row = entries.value[day]?.[event.newIndex ?? 0]
  if (row) void move(row, day)
}

/** A message was kept: on to the first day it spoke of. */
const onFilled = (first: string | undefined) =>
  guarded(async () => {
    text.value = ''
    isFilling.value = false
    if (first) lookedAt.value = first
    await load()
  })

watch(text, words => {
  try {
    if (words === '') sessionStorage.removeItem(textKey)
    else sessionStorage.setItem(textKey, words)
  } catch {
    return
  }
})
watchDebounced(
  search,
  () =>
    guarded(
      async () => (found.value = (await api<Listed<ShelfRow>>(`/sessions?limit=12&search=${encodeURIComponent(search.value)}`)).rows),
    ),
  { debounce: 120 },
)
const choose = (day: string) =>
  guarded(async () => {
    putOn.value = putOn.value === day ? null : day
    if (putOn.value) found.value = (await api<Listed<ShelfRow>>(`/sessions?limit=12&search=${encodeURIComponent(search.value)}`)).rows
  })
onMounted(() =>
  guarded(async () => {
    text.value = handover.takeForWeeks() ?? sessionStorage.getItem(textKey) ?? ''
    isFilling.value = text.value !== ''
    if (!athletes.isLoaded) await athletes.load()
    await load()
  }),
)
</script>

<template>
  <div class="page">
    <div class="top">
      <h1>{{ texts.to(dates.day(firstDay, {}), dates.day(daysFrom(firstDay, 6), { year: true })) }}</h1>
      <el-button @click="go(-1)">{{ texts.weekBefore }}</el-button>
      <el-button @click="go(1)">{{ texts.weekAfter }}</el-button>
      <el-button type="primary" :aria-expanded="isFilling" data-test="fill" @click="isFilling = !isFilling">{{
        texts.fillFromAMessage
      }}</el-button>
    </div>
    <p v-if="problem" class="said error" role="alert">
      {{ problem.problem }} <span class="faint">{{ problem.hint }}</span>
    </p>
    <p v-if="takenOff" class="said note" role="status" data-test="taken-off">
      {{ texts.isOffItIs(takenOff.title, dates.day(takenOff.day)) }}
      <el-button link type="primary" @click="put(takenOff.sessionId, takenOff.day)">{{ texts.putItBack }}</el-button>
    </p>
    <LazyWeeksFillFromMessage v-if="isFilling" v-model="text" :week="firstDay" @kept="onFilled" />
    <Waiting v-if="!isLoaded && !problem" :words="texts.fetchingTheWeek" :rows="7" />
    <p v-if="isLoaded && isEmpty" class="faint">{{ texts.nothingIsPlannedThis }}</p>
    <ol class="week">
      <li v-for="day in days" :key="day.iso" :class="{ today: day.iso === athletes.today }" :data-day="day.iso">
        <h2>
          {{ day.name }} <span class="faint">{{ day.date }}{{ day.iso === athletes.today ? texts.today : '' }}</span>
        </h2>
        <VueDraggable
          v-if="entries[day.iso]"
          v-model="entries[day.iso]!"
          class="entries"
          group="week"
          :animation="0"
          @add="(event: { newIndex?: number }) => onDrop(day.iso, event)">
          <div v-for="row in entries[day.iso]" :key="row.id" class="entry" data-test="entry">
            <NuxtLink :to="`/desk/${row.sessionId}`">{{ row.title }}</NuxtLink>
            <SessionCord :cord="row.cord" :width="180" />
            <span class="faint">
              {{ row.sport }}{{ row.seconds === null ? '' : `, ${sayDuration(Math.round(row.seconds / 60) * 60)}` }}</span
            >
            <span class="acts">
              <label
                ><span class="hidden-text">{{ texts.moveTo(row.title) }}</span>
                <el-select :model-value="day.iso" @change="move(row, $event)">
                  <el-option v-for="other in days" :key="other.iso" :value="other.iso" :label="other.name.slice(0, 3)" />
                </el-select>
              </label>
              <el-button link type="primary" :aria-label="texts.takeOffTheWeek(row.title)" @click="takeOff(row)">{{
                texts.takeOff
              }}</el-button>
            </span>
          </div>
        </VueDraggable>
        <el-button
          link
          type="primary"
          :aria-label="texts.putASessionOn(day.name)"
          :aria-expanded="putOn === day.iso"
          @click="choose(day.iso)">
          {{ texts.putASessionHere }}
        </el-button>
        <div v-if="putOn === day.iso" class="put">
          <el-input v-model="search" type="search" :placeholder="texts.findOnTheShelf" :aria-label="texts.findOnTheShelf2" />
          <p v-for="session in found" :key="session.id">
            <el-button text class="pick" @click="put(session.id, day.iso)"><SessionBrief :row="session" /></el-button>
          </p>
          <p v-if="found.length === 0" class="faint">{{ texts.nothingOnTheShelf }}</p>
        </div>
      </li>
    </ol>
  </div>
</template>

<style scoped>
.top {
  display: flex;
  gap: 12px;
  align-items: center;
  flex-wrap: wrap;
  margin-bottom: 14px;
}
.top h1 {
  margin-right: auto;
}
.week {
  list-style: none;
  padding: 0;
  margin: 0;
}
.week > li {
  border-top: 1px solid var(--rule);
  padding: 8px 0 10px;
  display: grid;
  grid-template-columns: 230px 1fr auto;
  gap: 6px 18px;
  align-items: start;
}
.week > li.today {
  border-top: 2px solid var(--clay-4);
}
.entries {
  min-height: 30px;
}
.entry {
  display: flex;
  gap: 8px;
  align-items: baseline;
  flex-wrap: wrap;
  padding: 3px 0;
  cursor: grab;
}
.entry a {
  overflow-wrap: anywhere;
}
.acts {
  margin-left: auto;
  display: inline-flex;
  gap: 12px;
  align-items: baseline;
}
.acts .el-input {
  min-height: 26px;
  padding: 0 4px;
}
.put {
  grid-column: 2 / -1;
}
.put p {
  margin: 2px 0;
}
.pick {
  width: min(560px, 100%);
  height: auto;
  padding: 6px 4px;
}
.pick :deep(> span) {
  width: 100%;
}
@media (max-width: 760px) {
  .week > li {
    grid-template-columns: 1fr;
  }
}
</style>
