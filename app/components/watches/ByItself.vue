<script setup lang="ts">
import { parseClockTime } from '~~/core/reckon/home'
import { sayClock } from '~~/core/words/date'
import type { PushRoutine } from '~~/shared/plan'
import { watchesByItself as texts } from '~/texts/en'

/** The hour at which a watch is pushed by itself. */
const props = defineProps<{ watchId: string }>()
const athletes = useAthleteStore()
const dates = useDates()
const routine = shallowRef<PushRoutine | null>(null)
const typed = ref('')
const { problem, isBusy, guarded } = useGuarded()
const path = computed(() => `/watches/${props.watchId}/routine`)
function show(now: PushRoutine) {
  routine.value = now
  if (now.hour !== null) typed.value = sayClock(now.hour, '24')
}
onMounted(() =>
  guarded(async () => {
    if (!athletes.isLoaded) await athletes.load()
    show(await api<PushRoutine>(path.value))
  }),
)
const hour = computed(() => parseClockTime(typed.value))
const isWrong = computed(() => typed.value.trim() !== '' && hour.value === null)
const set = (minutes: number | null) =>
  guarded(async () => {
    show(await api<PushRoutine>(path.value, { method: 'PUT', body: { hour: minutes } }))
    if (minutes === null) typed.value = ''
  })
</script>

<template>
  <form v-if="routine" class="by" @submit.prevent="hour !== null && set(hour)">
    <label
      >{{ texts.byItselfAt }}
      <el-input
        v-model="typed"
        size="small"
        class="clock mono"
        maxlength="8"
        placeholder="05:30"
        :aria-invalid="isWrong"
        data-test="push-hour"
    /></label>
    <el-button native-type="submit" size="small" :disabled="isBusy || hour === null || hour === routine.hour" data-test="set-hour">{{
      texts.set
    }}</el-button>
    <el-button v-if="routine.hour !== null" link type="primary" :disabled="isBusy" data-test="no-hour" @click="set(null)">{{
      texts.onlyByHand
    }}</el-button>
    <span v-if="isWrong" class="bad" role="alert">{{ texts.aTimeAsIn }}</span>
    <span v-else class="faint" data-test="next-push">{{
      routine.pushAt ? texts.nextOn(dates.momentOf(routine.pushAt)) : texts.nothingGoes
    }}</span>
    <span v-if="routine.clearAt" class="faint">{{ texts.clearedOn(dates.momentOf(routine.clearAt)) }}</span>
    <ProblemAlert :problem="problem" />
  </form>
</template>

<style scoped>
.by {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
  margin: 6px 0;
}
label {
  display: flex;
  gap: 8px;
  align-items: center;
}
.clock {
  width: 80px;
}
</style>
