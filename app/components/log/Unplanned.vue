<script setup lang="ts">
import { paceUnitWords, saySpeed } from '~~/core/athlete/say-target'
import { sayDuration } from '~~/core/quantity/time'
import { findIntervals } from '~~/core/record/find-intervals'
import { sessionOfFound } from '~~/core/record/found-session'
import { printItem } from '~~/core/script/print'
import type { LoggedRecording } from '~~/shared/log'
import type { LoggedSteps } from '~/log/logged-steps'
import { logUnplanned as texts } from '~/texts/en'

/** Repeats that show in a recording without a plan: said, and kept as a session that the recording then stands beside. */
const props = defineProps<{ logged: LoggedRecording; said: LoggedSteps }>()
const emit = defineEmits<{ told: [logged: LoggedRecording] }>()
const { problem, isBusy, guarded } = useGuarded()
const found = computed(() => findIntervals(props.logged.recording))
const words = computed(() => {
  if (!found.value) return ''
  const { count, metres, seconds, recoverySeconds, mean, of } = found.value
  const length = metres === null ? sayDuration(seconds) : `${metres} m`
  const unit = props.said.reading
  const how = of === 'power' ? `${Math.round(mean)} W` : `${saySpeed(mean, unit)} ${paceUnitWords[unit]}`
  return texts.looksLike(count, length, how, sayDuration(recoverySeconds))
})
const session = computed(() => {
  const { sport } = props.logged.recording
  return found.value && sport !== 'multi' ? sessionOfFound(found.value, sport) : null
})
const script = computed(() => session.value?.items.map(item => printItem(item)).join('\n') ?? '')
const keep = () =>
  guarded(async () => {
    const { sport } = props.logged.recording
    const { count, metres, seconds } = found.value!
    const title = `${count} x ${metres === null ? sayDuration(seconds) : `${metres} m`}`
    const id = await keepNewSession(`title ${title}\nsport ${sport}\n\n${script.value}\n`)
    emit('told', await api<LoggedRecording>(`/recordings/${props.logged.id}/plan`, { method: 'PUT', body: { session: id } }))
  })
</script>

<template>
  <section v-if="session" class="found" data-test="found">
    <p>
      {{ words }} <el-button :disabled="isBusy" data-test="keep-found" @click="keep">{{ texts.keep }}</el-button>
    </p>
    <ProblemAlert :problem="problem" />
  </section>
</template>

<style scoped>
.found p {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
}
</style>
