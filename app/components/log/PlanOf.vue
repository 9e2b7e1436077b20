<script setup lang="ts">
import { dayOfRecording } from '~~/core/record/recording'
import type { LoggedRecording } from '~~/shared/log'
import type { PlanSpan } from '~~/shared/plan'
import { logPlanOf as texts } from '~/texts/en'

/** Which session a recording of another device was: what was planned that day first, then the shelf. */
const props = defineProps<{ logged: LoggedRecording }>()
const emit = defineEmits<{ told: [logged: LoggedRecording] }>()
const athletes = useAthleteStore()
const { problem, isBusy, guarded } = useGuarded()
const planned = ref<{ id: string; title: string }[]>([])
const isAsking = ref(props.logged.sessionId === null)

watch(
  isAsking,
  asking =>
    asking &&
    guarded(async () => {
      const { recording } = props.logged
      const day = dayOfRecording(recording, athletes.standpoint.zone)
      const { entries } = await api<PlanSpan>(`/plan/span?from=${day}&to=${day}`)
      planned.value = entries.flatMap(({ sessionId, title, sport }) =>
        sessionId === null || sport !== recording.sport ? [] : [{ id: sessionId, title }],
      )
    }),
  { immediate: true },
)
const tell = (session: string | null) =>
  guarded(async () => {
    emit('told', await api<LoggedRecording>(`/recordings/${props.logged.id}/plan`, { method: 'PUT', body: { session } }))
    isAsking.value = session === null
  })
const basis = computed(() => {
  const { score } = props.logged
  if (!score || score.basis === 'program') return ''
  const sure = Math.round(score.confidence * 100)
  if (score.basis === 'none') return texts.nothingTells
  const found = score.basis === 'laps' ? texts.atItsLaps(sure) : texts.byItsShape(sure)
  return score.confidence < 0.6 ? `${found} ${texts.mayBeAnother}` : found
})
</script>

<template>
  <section class="plan-of" :aria-label="texts.whichSession" data-test="plan-of">
    <p v-if="basis" data-test="basis">
      {{ basis }}
      <el-button link type="primary" @click="isAsking = !isAsking">{{ texts.itWasAnother }}</el-button>
      <el-button link type="primary" :disabled="isBusy" data-test="no-plan-of" @click="tell(null)">{{ texts.itHadNoPlan }}</el-button>
    </p>
    <template v-if="isAsking">
      <h2>{{ texts.whichSession }}</h2>
      <p v-if="planned.length > 0">
        {{ texts.plannedThatDay }}
        <el-button v-for="one in planned" :key="one.id" :disabled="isBusy" data-test="planned-that-day" @click="tell(one.id)">{{
          one.title
        }}</el-button>
      </p>
      <ShelfPick :sport="logged.recording.sport" :at-most="6" :is-busy="isBusy" @pick="tell" />
    </template>
    <ProblemAlert :problem="problem" />
  </section>
</template>

<style scoped>
.plan-of {
  border-left: 4px solid var(--clay-2);
  padding: 2px 0 2px 12px;
  margin: 10px 0;
}
.plan-of p {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
  margin: 4px 0;
}
.plan-of .el-button + .el-button {
  margin-left: 0;
}
</style>
