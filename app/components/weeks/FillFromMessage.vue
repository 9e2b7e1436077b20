<script setup lang="ts">
import { isDate } from '~~/core/quantity/day'
import { printSession } from '~~/core/script/print'
import { readScript } from '~~/core/script/reader/read-script'
import { titleOf } from '~~/core/script/title'
import type { FilledWeek } from '~~/shared/plan'
import { weeksFillFromMessage as texts } from '~/texts/en'

/** A message with a week in it, what it reads as, and keeping that. */
const props = defineProps<{ week: string }>()
const text = defineModel<string>({ required: true })
const emit = defineEmits<{ kept: [first: string | undefined, told: FilledWeek] }>()
const athletes = useAthleteStore()
const dates = useDates()
const { problem, isBusy, guarded } = useGuarded()

const hints = computed(() => ({ week: props.week }))
const preview = computed(() => (text.value.trim() === '' ? null : readScript(text.value, athletes.standpoint, hints.value)))
const readSessions = computed(() => preview.value?.sessions.filter(session => session.items.length > 0) ?? [])
const dayNameOf = (day: string | undefined) => (isDate(day) ? dates.day(day, { weekday: 'long' }) : texts.noDayItGoes)
const rowsOf = (session: (typeof readSessions.value)[number]) => printSession(session).split('\n\n').slice(1).join('\n').trim()

const fill = () =>
  guarded(async () => {
    const told = await api<FilledWeek>('/plan/week', { method: 'POST', body: { week: props.week, text: text.value } })
    const days = readSessions.value.map(session => session.day).filter(isDate)
    emit('kept', days.sort()[0], told)
  })
</script>

<template>
  <section class="fill" :aria-label="texts.fillFromAMessage">
    <ProblemAlert :problem="problem" />
    <label class="message"
      ><span>{{ texts.theWeekAsIt }}</span>
      <el-input v-model="text" type="textarea" class="mono" :rows="9" :placeholder="texts.tue2KmEasy" data-test="week-text" />
    </label>
    <div class="read" aria-live="polite">
      <p v-if="readSessions.length === 0" class="faint">{{ texts.whatItReadsAs }}</p>
      <div v-for="(session, index) in readSessions" :key="index" class="one" data-test="read-day">
        <strong>{{ dayNameOf(session.day) }}</strong> <span class="faint">{{ session.sport }}, {{ titleOf(session) }}</span>
        <pre class="mono">{{ rowsOf(session) }}</pre>
      </div>
      <el-button v-if="readSessions.length > 0" type="primary" :disabled="isBusy" data-test="fill-week" @click="fill">
        {{ texts.keep(readSessions.length, readSessions.length === 1 ? texts.session : texts.sessions) }}
      </el-button>
    </div>
    <WeeksMessageLines v-if="preview" v-model="text" :reading="preview" :hints="hints" />
  </section>
</template>

<style scoped>
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
.one {
  border-left: 4px solid var(--clay-2);
  padding-left: 10px;
  margin: 8px 0;
}
pre {
  margin: 2px 0;
  font-size: 0.8125rem;
  white-space: pre-wrap;
}
@media (max-width: 760px) {
  .fill {
    grid-template-columns: 1fr;
  }
}
</style>
