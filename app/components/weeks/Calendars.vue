<script setup lang="ts">
import type { ReadEvent, ReadCalendar } from '~~/core/exchange/read-ics'
import { daysFrom } from '~~/core/quantity/day'
import { parseClockTime } from '~~/core/reckon/home'
import { sayClock } from '~~/core/words/date'
import type { CalendarFeed, TakenCalendar } from '~~/shared/plan'
import { readCalendarFile } from '~/composables/calendar-file'
import { weeksCalendars as texts } from '~/texts/en'

/** The plan in other calendars: addresses they read it by, a file of it, and files of theirs taken in. */
const emit = defineEmits<{ taken: [] }>()
const athletes = useAthleteStore()
const dates = useDates()
const isOpen = ref(false)
const feeds = ref<CalendarFeed[]>([])
const { problem, isBusy, guarded } = useGuarded()
const { copy, copied } = useClipboard({ legacy: true })
const load = async () => (feeds.value = await api<CalendarFeed[]>('/plan/feeds'))
watch(isOpen, open => open && guarded(load))

const name = ref('')
const isTimed = ref(true)
const weekdays = ref('18:00')
const weekend = ref('09:00')
const alarm = ref<number | null>(null)
const wholeDayAlarms = [null, 360, 720] as const
const timedAlarms = [null, 0, 15, 30, 60, 120] as const
const alarms = computed(() => (isTimed.value ? timedAlarms : wholeDayAlarms))
watch(isTimed, () => (alarm.value = null))
const alarmWords = (minutes: number | null) => {
  if (minutes === null) return texts.noAlarm
  if (!isTimed.value) return texts.theDayBeforeAt(sayClock(1440 - minutes, dates.clockForm.value))
  return minutes === 0 ? texts.whenItBegins : texts.minutesBefore(minutes)
}
const times = computed(() => {
  const [week, end] = [parseClockTime(weekdays.value), parseClockTime(weekend.value)]
  return week === null || end === null ? null : { weekdays: week, weekend: end }
})
const isTimeWrong = computed(() => isTimed.value && times.value === null)
const address = ref('')
const add = () =>
  guarded(async () => {
    const body = { name: name.value.trim() || texts.training, times: isTimed.value ? times.value : null, alarm: alarm.value }
    address.value = (await api<{ address: string }>('/plan/feeds', { method: 'POST', body })).address
    name.value = ''
    await load()
  })
const end = (id: string) =>
  guarded(async () => {
    await api(`/plan/feeds/${id}`, { method: 'DELETE' })
    address.value = ''
    await load()
  })
const fileAddress = computed(() =>
  isTimed.value && times.value
    ? `/api/plan/calendar?weekdays=${times.value.weekdays}&weekend=${times.value.weekend}`
    : '/api/plan/calendar',
)
const waysOf = (feed: CalendarFeed) =>
  feed.times
    ? texts.atTimes(sayClock(feed.times.weekdays, dates.clockForm.value), sayClock(feed.times.weekend, dates.clockForm.value))
    : texts.wholeDays

const read = shallowRef<Extract<ReadCalendar, { ok: true }> | null>(null)
const as = ref<'note' | 'work' | 'blocked'>('note')
const wrong = ref('')
const told = ref<TakenCalendar | null>(null)
const daysTaken = 400
const { open: choose, onChange } = useFileDialog({ accept: '.ics,text/calendar', multiple: false, reset: true })
onChange(files =>
  guarded(async () => {
    const file = files?.[0]
    if (!file) return
    ;[read.value, wrong.value, told.value] = [null, '', null]
    const { today, standpoint } = athletes
    const given = await readCalendarFile(file, { from: today, to: daysFrom(today, daysTaken), timeZone: standpoint.zone })
    if (given.ok) read.value = given
    else wrong.value = given.problem
  }),
)
const take = () =>
  guarded(async () => {
    const events: ReadEvent[] = read.value!.events
    told.value = await api<TakenCalendar>('/plan/calendar', { method: 'POST', body: { as: as.value, events } })
    read.value = null
    emit('taken')
  })
const leftOut = computed(() => {
  const counts = new Map<string, string[]>()
  for (const { why, title } of read.value?.leftOut ?? []) counts.set(why, [...(counts.get(why) ?? []), title])
  return [...counts].map(([why, titles]) =>
    texts.leftOut(titles.length, texts.why[why as keyof typeof texts.why], titles.slice(0, 3).join(', ')),
  )
})
</script>

<template>
  <WeeksPanel v-model="isOpen" :label="texts.calendars" name="calendars">
    <ProblemAlert :problem="problem" />
    <h3>{{ texts.inAnotherCalendar }}</h3>
    <p>
      <el-radio-group v-model="isTimed" class="across" :aria-label="texts.when">
        <el-radio :value="true">{{ texts.atMyUsualTimes }}</el-radio>
        <el-radio :value="false">{{ texts.onWholeDays }}</el-radio>
      </el-radio-group>
      <template v-if="isTimed">
        <label
          >{{ texts.onWeekdays }} <el-input v-model="weekdays" size="small" class="clock mono" maxlength="8" data-test="weekdays"
        /></label>
        <label>{{ texts.atTheWeekend }} <el-input v-model="weekend" size="small" class="clock mono" maxlength="8" /></label>
        <span v-if="isTimeWrong" class="bad" role="alert">{{ texts.aTimeAsIn }}</span>
      </template>
      <label
        >{{ texts.alarm }}
        <el-select v-model="alarm" size="small" class="alarm" :empty-values="[undefined]" :value-on-clear="() => null">
          <el-option v-for="one in alarms" :key="String(one)" :value="one as number" :label="alarmWords(one)" />
        </el-select>
      </label>
    </p>
    <p>
      <label
        >{{ texts.forWhich }} <el-input v-model="name" size="small" maxlength="60" :placeholder="texts.phone" data-test="feed-name"
      /></label>
      <el-button :disabled="isBusy || isTimeWrong" data-test="add-feed" @click="add">{{ texts.makeAnAddress }}</el-button>
      <a :href="fileAddress" download="training.ics" data-test="ics-file">{{ texts.saveAsFile }}</a>
    </p>
    <p v-if="address" class="said note" role="status">
      <span class="mono address" data-test="feed-address">{{ address }}</span>
      <el-button link type="primary" @click="copy(address)">{{ copied ? texts.copied : texts.copy }}</el-button>
      <span class="faint">{{ texts.shownThisOnce }}</span>
    </p>
    <ul v-if="feeds.length > 0">
      <li v-for="feed in feeds" :key="feed.id" data-test="feed">
        {{ feed.name }}
        <span class="faint">{{ waysOf(feed) }} · {{ feed.readAt ? texts.readLast(dates.momentOf(feed.readAt)) : texts.notReadYet }}</span>
        <el-button link type="primary" :disabled="isBusy" :aria-label="texts.endOf(feed.name)" data-test="end-feed" @click="end(feed.id)">{{
          texts.endIt
        }}</el-button>
      </li>
    </ul>
    <h3>{{ texts.fromAnotherCalendar }}</h3>
    <p>
      <el-button :disabled="isBusy" data-test="ics-choose" @click="choose()">{{ texts.chooseAFile }}</el-button>
      <span class="faint">{{ texts.whatIsCalled }}</span>
    </p>
    <p v-if="wrong" class="said error" role="alert" data-test="ics-wrong">{{ wrong }}</p>
    <template v-if="read">
      <p data-test="ics-read">{{ texts.eventsFound(read.events.length, read.name) }}</p>
      <p v-for="words in leftOut" :key="words" class="faint">{{ words }}</p>
      <p v-if="read.events.length > 0">
        <el-radio-group v-model="as" class="across" :aria-label="texts.takeThemAs">
          <el-radio value="note">{{ texts.asNotes }}</el-radio>
          <el-radio value="work">{{ texts.asOtherWork }}</el-radio>
          <el-radio value="blocked">{{ texts.asBlocked }}</el-radio>
        </el-radio-group>
        <el-button type="primary" :disabled="isBusy" data-test="ics-take" @click="take">{{ texts.takeThemIn }}</el-button>
      </p>
    </template>
    <p v-if="told" class="said note" role="status" data-test="ics-told">
      {{ texts.told(told.added, told.sessions, told.moved + told.changed, told.gone, told.same + told.over) }}
    </p>
  </WeeksPanel>
</template>

<style scoped>
h3 {
  font-size: 1rem;
  margin: 8px 0 2px;
}
label {
  display: flex;
  gap: 8px;
  align-items: center;
}
.clock {
  width: 74px;
}
.alarm {
  width: 170px;
}
.address {
  overflow-wrap: anywhere;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  border-top: 1px solid var(--rule);
  padding: 4px 0;
}
</style>
