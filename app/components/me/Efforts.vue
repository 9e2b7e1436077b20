<script setup lang="ts">
import type { Athlete, Effort } from '~~/core/athlete/athlete'
import { abilityOf } from '~~/core/athlete/ability'
import { isHumanEffort, standingOf } from '~~/core/athlete/marks'
import { sayConflict, sayMarkStanding } from '~~/core/words/benchmarks'
import { metresPer } from '~~/core/quantity/distance'
import { formatTime, parseClock } from '~~/core/quantity/time'
import type { Sport } from '~~/core/session/document'
import { showDistance } from '~/calculator/typed'
import { meEfforts as texts } from '~/texts/en'

const props = defineProps<{ athlete: Athlete }>()
const emit = defineEmits<{ keep: [change: (athlete: Athlete) => Athlete] }>()

const athletes = useAthleteStore()
const dates = useDates()
const day = computed(() => athletes.today)
const sport = ref<Sport>('run')
const amount = ref('')
const time = ref('')
const date = ref(day.value)
const wrong = ref('')
const removed = ref<Effort | null>(null)
const byWatts = computed(() => sport.value === 'ride')
const efforts = computed(() => [...(props.athlete.efforts ?? [])].sort((a, b) => b.date.localeCompare(a.date)))
const isMark = ({ seconds, date: on }: Effort, mark: { seconds: number; date: string }) => mark.seconds === seconds && mark.date === on
/** The effort that says that this one is too slow by far: the faster counts until the athlete settles it. */
function contradicting(effort: Effort): Effort | null {
  const conflict = abilityOf(athletes.standpoint, effort.sport)?.conflicts.find(mark => isMark(effort, mark))
  return (conflict && efforts.value.find(other => other.sport === effort.sport && isMark(other, conflict.against))) ?? null
}
const amountOf = ({ metres, watts }: Effort) => (metres ? showDistance(metres) : `${watts} W`)
const sayEffort = (effort: Effort) => `${amountOf(effort)} in ${formatTime(effort.seconds)}`
const rows = computed(() =>
  efforts.value.map(effort => ({ effort, standing: standingOf(effort, day.value), against: contradicting(effort) })),
)
function leaveOut(effort: Effort, isOut: boolean) {
  emit('keep', athlete => ({
    ...athlete,
    efforts: (athlete.efforts ?? []).map(known => {
      if (!same(known, effort)) return known
      const { leftOut: _, ...rest } = known
      return isOut ? { ...rest, leftOut: true as const } : rest
    }),
  }))
}
const key = (effort: Effort) => `${effort.sport} ${effort.date} ${effort.metres ?? ''} ${effort.watts ?? ''} ${effort.seconds}`
const same = (one: Effort, other: Effort) => key(one) === key(other)

/** A distance as people type it: `5 km`, `400 m`, `1 mi`; a bare number is kilometres from 0.2 to 200 in a run, metres else. */
function metresOf(text: string): number | null {
  const match = /^\s*(\d+(?:[.,]\d+)?)\s*(km|m|mi|yd)?\s*$/.exec(text)
  if (!match) return null
  const value = Number(match[1]!.replace(',', '.'))
  const unit = (match[2] ?? (sport.value === 'swim' || value > 200 ? 'm' : 'km')) as keyof typeof metresPer
  const metres = value * metresPer[unit]
  return metres >= 50 && metres <= 1_000_000 ? metres : null
}

function add() {
  const seconds = parseClock(time.value.trim())
  const watts = Number(amount.value.replace(',', '.').replace(/\s*W$/i, ''))
  const metres = byWatts.value ? undefined : metresOf(amount.value)
  wrong.value =
    byWatts.value && !(watts >= 30 && watts <= 2500)
      ? texts.meanPowerANumber
      : metres === null
        ? texts.aDistanceAsIn
        : seconds === null || seconds < 10 || seconds > 172_800
          ? texts.aTimeAsIn
          : !/^\d{4}-\d\d-\d\d$/.test(date.value) || date.value > day.value
            ? texts.aDayThatHas
            : ''
  if (wrong.value) return
  const effort: Effort = { sport: sport.value, ...(byWatts.value ? { watts } : { metres: metres! }), seconds: seconds!, date: date.value }
  if (!isHumanEffort(effort)) return (wrong.value = texts.nobodyHasEverDone)
  if (efforts.value.some(known => same(known, effort))) return (wrong.value = texts.thatEffortIsThere)
  emit('keep', athlete => ({ ...athlete, efforts: [...(athlete.efforts ?? []), effort] }))
  amount.value = ''
  time.value = ''
}
function remove(effort: Effort) {
  removed.value = effort
  emit('keep', athlete => ({ ...athlete, efforts: (athlete.efforts ?? []).filter(known => !same(known, effort)) }))
}
function bringBack() {
  const effort = removed.value!
  removed.value = null
  emit('keep', athlete => ({ ...athlete, efforts: [...(athlete.efforts ?? []), effort] }))
}
</script>

<template>
  <table v-if="efforts.length > 0" class="ruled listed" data-test="efforts">
    <tbody>
      <tr v-for="{ effort, standing, against } in rows" :key="key(effort)" :class="{ faint: standing === 'left-out' }">
        <td class="day">{{ dates.day(effort.date, { year: true }) }}</td>
        <td>{{ effort.sport }}</td>
        <td class="number">{{ amountOf(effort) }}</td>
        <td class="number">{{ formatTime(effort.seconds) }}</td>
        <td>
          <span v-if="standing !== 'counts'" class="doubt">{{ sayMarkStanding(standing) }}</span>
          <span v-if="against" class="doubt conflict" data-test="conflict">
            {{ sayConflict(sayEffort(against)) }}.
            <el-button link type="primary" @click="leaveOut(effort, true)">{{ texts.itWasNotAll }}</el-button>
            <el-button link type="primary" @click="leaveOut(against, true)">{{ texts.doesNotHold(sayEffort(against)) }}</el-button>
          </span>
        </td>
        <td class="end">
          <el-button v-if="standing === 'left-out'" link type="primary" @click="leaveOut(effort, false)">{{ texts.countIt }}</el-button>{{
            ' '
          }}
          <el-button
            link
            type="primary"
            :aria-label="texts.removeTheEffortOf(dates.day(effort.date, { year: true }))"
            @click="remove(effort)"
            >{{ texts.remove }}</el-button
          >
        </td>
      </tr>
    </tbody>
  </table>
  <p v-else class="faint">{{ texts.noRaceTimeTrial }}</p>
  <p v-if="removed" class="said note">
    {{ texts.removed }} <el-button link type="primary" data-test="effort-undo" @click="bringBack">{{ texts.bringItBack }}</el-button>
  </p>
  <form class="add" @submit.prevent="add">
    <label
      >{{ texts.sport }}
      <el-select v-model="sport" data-test="effort-sport">
        <el-option value="run" :label="texts.run" />
        <el-option value="ride" :label="texts.ride" />
        <el-option value="swim" :label="texts.swim" /> </el-select
    ></label>
    <label
      >{{ byWatts ? texts.meanPower : texts.distance }}
      <el-input
        v-model="amount"
        class="mono"
        :placeholder="byWatts ? '228 W' : sport === 'swim' ? '400 m' : texts.n5Km"
        autocomplete="off"
        data-test="effort-amount"
    /></label>
    <label>{{ texts.time }} <el-input v-model="time" class="mono" placeholder="24:30" autocomplete="off" data-test="effort-time" /></label>
    <label
      >{{ texts.day }}
      <el-date-picker
        v-model="date"
        class="day"
        type="date"
        value-format="YYYY-MM-DD"
        :format="dates.pickerForm.value"
        :clearable="false"
        :disabled-date="(moment: Date) => moment.getTime() > Date.now()"
        :aria-label="texts.dayOfTheEffort"
    /></label>
    <el-button native-type="submit" data-test="effort-add">{{ texts.add }}</el-button>
    <span v-if="wrong" class="bad" role="alert">{{ wrong }}</span>
  </form>
</template>

<style scoped>
table {
  width: 100%;
}
.day,
.end {
  white-space: nowrap;
}
.conflict {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
}
.end {
  text-align: right;
}
.add {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
  margin: 10px 0;
}
.add label {
  color: var(--faint);
}
.el-input {
  width: 92px;
}
.add :deep(.el-date-editor.day) {
  width: 148px;
}
</style>
