<script setup lang="ts">
import { DateTime } from 'luxon'
import { VueDraggable } from 'vue-draggable-plus'
import { daysFrom, isDate, weekOf } from '~~/core/quantity/day'
import { sayDuration } from '~~/core/quantity/time'
import { printSession } from '~~/core/script/print'
import { readScript } from '~~/core/script/reader/read-script'
import { titleOf } from '~~/core/script/title'
import type { Listed, PlanRow, ShelfRow } from '~~/shared/api'

useHead({ title: 'Weeks · Agonis' })
const athletes = useAthleteStore()
const handover = useHandoverStore()
const { problem, isBusy, guarded } = useGuarded()
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
  Array.from({ length: 7 }, (_, offset) => DateTime.fromISO(daysFrom(firstDay.value, offset))).map(day => ({
    iso: day.toISODate()!,
    name: day.toFormat('cccc'),
    date: day.toFormat('d LLL'),
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
const takeOff = (row: PlanRow) =>
  guarded(async () => {
    await api(`/plan/${row.id}`, { method: 'DELETE' })
    await load()
  })
const put = (session: ShelfRow, day: string) =>
  guarded(async () => {
    await api('/plan', { method: 'POST', body: { session: session.id, day } })
    putOn.value = null
    await load()
  })
/** A row let go on another day: kept there, or put back when the server refuses. */
function onDrop(day: string, event: { newIndex?: number }) {
  const row = entries.value[day]?.[event.newIndex ?? 0]
  if (row) void move(row, day)
}

const hints = computed(() => ({ week: firstDay.value }))
const preview = computed(() => (text.value.trim() === '' ? null : readScript(text.value, athletes.standpoint, hints.value)))
const readSessions = computed(() => preview.value?.sessions.filter(session => session.items.length > 0) ?? [])
const dayNameOf = (iso: string | undefined) => (isDate(iso) ? DateTime.fromISO(iso).toFormat('cccc d LLL') : 'no day: it goes on the shelf')
const rowsOf = (session: (typeof readSessions.value)[number]) => printSession(session).split('\n\n').slice(1).join('\n').trim()

const fill = () =>
  guarded(async () => {
    await api<PlanRow[]>('/plan/week', { method: 'POST', body: { week: firstDay.value, text: text.value } })
    const first = readSessions.value
      .map(session => session.day)
      .filter(isDate)
      .sort()[0]
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
      <h1>{{ DateTime.fromISO(firstDay).toFormat('d LLL') }} to {{ DateTime.fromISO(daysFrom(firstDay, 6)).toFormat('d LLL yyyy') }}</h1>
      <button class="act" @click="go(-1)">Week before</button>
      <button class="act" @click="go(1)">Week after</button>
      <button class="act first" :aria-expanded="isFilling" data-test="fill" @click="isFilling = !isFilling">Fill from a message</button>
    </div>
    <p v-if="problem" class="said error" role="alert">
      {{ problem.problem }} <span class="faint">{{ problem.hint }}</span>
    </p>
    <section v-if="isFilling" class="fill" aria-label="Fill from a message">
      <label class="message"
        ><span>The week as it came, each day with its name or date</span>
        <textarea
          v-model="text"
          class="field mono"
          rows="9"
          placeholder="Tue: 2 km easy, 6 x 800 / 90 s jog, 2 km easy&#10;Thu: rest&#10;Sat: ride 90 min Z2"
          data-test="week-text" />
      </label>
      <div class="read" aria-live="polite">
        <p v-if="readSessions.length === 0" class="faint">What it reads as stands here before anything is kept.</p>
        <div v-for="(session, index) in readSessions" :key="index" class="one" data-test="read-day">
          <strong>{{ dayNameOf(session.day) }}</strong> <span class="faint">{{ session.sport }}, {{ titleOf(session) }}</span>
          <pre class="mono">{{ rowsOf(session) }}</pre>
        </div>
        <button v-if="readSessions.length > 0" class="act first" :disabled="isBusy" data-test="fill-week" @click="fill">
          Keep {{ readSessions.length }} {{ readSessions.length === 1 ? 'session' : 'sessions' }}
        </button>
      </div>
      <WeeksMessageLines v-if="preview" v-model="text" :reading="preview" :hints="hints" />
    </section>
    <p v-if="isLoaded && isEmpty" class="faint">Nothing is planned this week. Put a session on a day, or fill the week from a message.</p>
    <ol class="week">
      <li v-for="day in days" :key="day.iso" :class="{ today: day.iso === athletes.today }" :data-day="day.iso">
        <h2>
          {{ day.name }} <span class="faint">{{ day.date }}{{ day.iso === athletes.today ? ', today' : '' }}</span>
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
                ><span class="hidden-text">Move {{ row.title }} to</span>
                <select class="field" :value="day.iso" @change="move(row, ($event.target as HTMLSelectElement).value)">
                  <option v-for="other in days" :key="other.iso" :value="other.iso">{{ other.name.slice(0, 3) }}</option>
                </select>
              </label>
              <button class="plain" :aria-label="`Take ${row.title} off the week`" @click="takeOff(row)">take off</button>
            </span>
          </div>
        </VueDraggable>
        <button class="plain" :aria-label="`Put a session on ${day.name}`" :aria-expanded="putOn === day.iso" @click="choose(day.iso)">
          put a session here
        </button>
        <div v-if="putOn === day.iso" class="put">
          <input v-model="search" class="field" type="search" placeholder="find on the shelf" aria-label="Find on the shelf" />
          <p v-for="session in found" :key="session.id">
            <button class="plain" @click="put(session, day.iso)">{{ session.title }}</button>
          </p>
          <p v-if="found.length === 0" class="faint">Nothing on the shelf has that in it.</p>
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
.fill {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 22px;
  border-top: 2px solid var(--slip);
  border-bottom: 1px solid var(--rule);
  padding: 12px 0;
  margin-bottom: 14px;
}
.message {
  display: flex;
  flex-direction: column;
  gap: 4px;
  color: var(--faint);
}
textarea {
  width: 100%;
  font-size: 14px;
  color: var(--slip);
}
.one {
  border-left: 4px solid var(--clay-2);
  padding-left: 10px;
  margin: 8px 0;
}
pre {
  margin: 2px 0;
  font-size: 13px;
  white-space: pre-wrap;
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
.acts .field {
  min-height: 26px;
  padding: 0 4px;
}
.put {
  grid-column: 2 / -1;
}
.put p {
  margin: 2px 0;
}
@media (max-width: 760px) {
  .fill {
    grid-template-columns: 1fr;
  }
  .week > li {
    grid-template-columns: 1fr;
  }
}
</style>
