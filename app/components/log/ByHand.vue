<script setup lang="ts">
import { unitsOf } from '~~/core/athlete/athlete'
import { metresPer } from '~~/core/quantity/distance'
import { dayInZone, momentAt } from '~~/core/quantity/day'
import { parseClock } from '~~/core/quantity/time'
import { recordingByHand } from '~~/core/record/by-hand'
import { sessionSports } from '~~/core/session/document'
import type { SessionSport } from '~~/core/session/document'
import { logByHand as texts } from '~/texts/en'

/** A session that no device recorded, told by hand. */
const emit = defineEmits<{ kept: [id: string]; close: [] }>()
const athletes = useAthleteStore()
const { problem, isBusy, guarded } = useGuarded()
const zone = computed(() => athletes.standpoint.zone)
const told = reactive({
  sport: 'run' as SessionSport,
  day: dayInZone(new Date(), athletes.standpoint.zone),
  at: '07:00',
  time: '',
  distance: '',
  heartRate: '',
  note: '',
})
const fault = ref('')
const unit = computed(() => (told.sport === 'multi' ? 'km' : unitsOf(athletes.athlete)[told.sport]))
const number = (words: string) => (words.trim() === '' ? undefined : Number(words.trim().replace(',', '.')))

const minutesAlone = (words: string) => {
  const minutes = number(words)
  return minutes === undefined ? undefined : minutes * 60
}
/** `7:30` is read as minutes after midnight by the very rule that reads `7:30` of a minute. */
const minutesOf = (clock: string) => parseClock(clock.trim().replace('.', ':'))

const keep = () =>
  guarded(async () => {
    const minutes = minutesOf(told.at)
    const distance = number(told.distance)
    const values = {
      sport: told.sport,
      startedAt: minutes === null || minutes >= 1440 ? '' : momentAt(told.day, minutes, zone.value).toISOString(),
      seconds: parseClock(told.time.trim()) ?? minutesAlone(told.time),
      metres: distance === undefined ? undefined : distance * metresPer[unit.value],
      heartRate: number(told.heartRate),
      note: told.note,
    }
    fault.value = await faultOf('byHand', values)
    if (fault.value) return
    const recording = recordingByHand({ ...values, seconds: values.seconds! }, zone.value)
    emit('kept', (await api<{ id: string }>('/recordings', { method: 'POST', body: { recording } })).id)
  })
</script>

<template>
  <form class="by-hand" :aria-label="texts.byHand" data-test="by-hand" @submit.prevent="keep">
    <label
      >{{ texts.sport }}
      <el-radio-group v-model="told.sport" size="small">
        <el-radio-button v-for="sport in sessionSports" :key="sport" :value="sport" :label="sport" /> </el-radio-group
    ></label>
    <label
      >{{ texts.day }} <DayField v-model="told.day" :label="texts.day" :is-off="(moment: Date) => moment.getTime() > Date.now()"
    /></label>
    <label>{{ texts.begun }} <el-input v-model="told.at" class="short" placeholder="7:00" /></label>
    <label>{{ texts.howLong }} <el-input v-model="told.time" class="short" placeholder="45:00" data-test="time" /></label>
    <label>{{ texts.howFar(unit) }} <el-input v-model="told.distance" class="short" inputmode="decimal" data-test="distance" /></label>
    <label>{{ texts.heart }} <el-input v-model="told.heartRate" class="short" inputmode="numeric" /></label>
    <label class="note">{{ texts.note }} <el-input v-model="told.note" maxlength="4096" /></label>
    <span class="buttons">
      <el-button type="primary" native-type="submit" :disabled="isBusy" data-test="keep">{{ texts.keep }}</el-button>
      <el-button :disabled="isBusy" @click="emit('close')">{{ texts.never }}</el-button>
    </span>
    <p v-if="fault" class="said error" role="alert">{{ fault }}</p>
    <ProblemAlert :problem="problem" />
  </form>
</template>

<style scoped>
.by-hand {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 18px;
  align-items: end;
  border-left: 4px solid var(--clay-2);
  padding: 4px 0 4px 12px;
  margin: 10px 0;
}
label {
  display: grid;
  gap: 2px;
  font-size: 0.9rem;
}
.short {
  width: 130px;
}
.note {
  flex: 1;
  min-width: 200px;
}
.said {
  flex-basis: 100%;
}
</style>
