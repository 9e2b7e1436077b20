<script setup lang="ts">
import { dayInZone } from '~~/core/quantity/day'
import type { Listed, LoggedRecording, ShelfRow } from '~~/shared/api'
import type { PlanSpan } from '~~/shared/plan'
import { logPlanOf as texts } from '~/texts/en'

/** Which session a recording of another device was: what was planned that day first, then the shelf. */
const props = defineProps<{ logged: LoggedRecording }>()
const emit = defineEmits<{ told: [logged: LoggedRecording] }>()
const athletes = useAthleteStore()
const { problem, isBusy, guarded } = useGuarded()
const search = ref('')
const planned = ref<{ id: string; title: string }[]>([])
const found = ref<ShelfRow[]>([])
const isAsking = ref(props.logged.sessionId === null)

const look = () =>
  guarded(async () => {
    const { rows } = await api<Listed<ShelfRow>>(`/sessions?limit=6&search=${encodeURIComponent(search.value)}`)
    found.value = rows.filter(({ sport }) => sport === props.logged.recording.sport)
  })
watchDebounced(search, look, { debounce: 120 })
watch(
  isAsking,
  asking =>
    asking &&
    guarded(async () => {
      const { recording } = props.logged
      const day = dayInZone(new Date(recording.startedAt), recording.timeZone ?? athletes.standpoint.zone)
      const { entries } = await api<PlanSpan>(`/plan/span?from=${day}&to=${day}`)
      planned.value = entries.flatMap(({ sessionId, title, sport }) =>
        sessionId === null || sport !== recording.sport ? [] : [{ id: sessionId, title }],
      )
      await look()
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
  return score.basis === 'laps' ? texts.atItsLaps(sure) : score.basis === 'shape' ? texts.byItsShape(sure) : ''
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
      <el-input
        v-model="search"
        type="search"
        class="search"
        :placeholder="texts.find"
        :aria-label="texts.find"
        data-test="plan-of-search" />
      <p v-for="one in found" :key="one.id">
        <el-button text class="pick" :disabled="isBusy" data-test="plan-of-pick" @click="tell(one.id)"
          ><SessionBrief :row="one"
        /></el-button>
      </p>
      <p v-if="found.length === 0" class="faint">{{ texts.nothingFits }}</p>
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
  margin: 4px 0;
}
.search {
  max-width: 420px;
}
.pick {
  width: min(640px, 100%);
  height: auto;
  padding: 4px;
}
.pick :deep(> span) {
  width: 100%;
}
</style>
