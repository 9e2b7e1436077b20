<script setup lang="ts">
import { dayInZone, minutesInZone, momentAt } from '~~/core/quantity/day'
import { parseClock } from '~~/core/quantity/time'
import { sessionSports } from '~~/core/session/document'
import { sayClock } from '~~/core/words/date'
import type { LoggedRecording } from '~~/shared/log'
import { logFacts as texts } from '~/texts/en'

/** What a file said wrong of a recording, put right: its title; where no watch led it, when it began and its sport too. */
const props = defineProps<{ logged: LoggedRecording; isLed: boolean }>()
const emit = defineEmits<{ told: [logged: LoggedRecording]; close: [] }>()
const athletes = useAthleteStore()
const { problem, isBusy, guarded } = useGuarded()
const zone = computed(() => props.logged.recording.timeZone ?? athletes.standpoint.zone)
const began = new Date(props.logged.recording.startedAt)
const told = reactive({
  title: props.logged.title,
  day: dayInZone(began, zone.value),
  at: sayClock(minutesInZone(began, zone.value), '24'),
  sport: props.logged.recording.sport,
})
const keep = () =>
  guarded(async () => {
    const minutes = parseClock(told.at.trim().replace('.', ':'))
    const { recording } = props.logged
    const isMoved = told.day !== dayInZone(began, zone.value) || minutes !== minutesInZone(began, zone.value)
    const body = {
      ...(told.title.trim() === props.logged.title ? {} : { title: told.title }),
      ...(isMoved && minutes !== null ? { startedAt: momentAt(told.day, minutes, zone.value).toISOString() } : {}),
      ...(told.sport === recording.sport ? {} : { sport: told.sport }),
    }
    if (Object.keys(body).length > 0)
      emit('told', await api<LoggedRecording>(`/recordings/${props.logged.id}/facts`, { method: 'PUT', body }))
    emit('close')
  })
</script>

<template>
  <form class="facts" :aria-label="texts.putRight" data-test="facts" @submit.prevent="keep">
    <label class="title">{{ texts.title }} <el-input v-model="told.title" maxlength="120" data-test="facts-title" /></label>
    <template v-if="!isLed">
      <label>{{ texts.day }} <DayField v-model="told.day" :label="texts.day" /></label>
      <label>{{ texts.at }} <el-input v-model="told.at" class="short" placeholder="7:00" /></label>
      <label
        >{{ texts.sport }}
        <el-radio-group v-model="told.sport" size="small">
          <el-radio-button v-for="sport in sessionSports" :key="sport" :value="sport" :label="sport" /> </el-radio-group
      ></label>
    </template>
    <span>
      <el-button type="primary" native-type="submit" :disabled="isBusy" data-test="facts-keep">{{ texts.keep }}</el-button>
      <el-button :disabled="isBusy" @click="emit('close')">{{ texts.never }}</el-button>
    </span>
    <ProblemAlert :problem="problem" />
  </form>
</template>

<style scoped>
.facts {
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
.title {
  flex: 1;
  min-width: 220px;
}
.short {
  width: 90px;
}
</style>
