<script setup lang="ts">
import { hardDaysAround } from '~~/core/plan/full-week'
import type { NextProposal } from '~~/core/plan/next'
import { nextOf } from '~~/core/plan/next'
import { dayInZone, daysFrom } from '~~/core/quantity/day'
import { dayOfRecording } from '~~/core/record/recording'
import type { LoggedRecording } from '~~/shared/log'
import type { PlanSpan } from '~~/shared/plan'
import { isTyping } from '~/keys/is-typing'
import { logWhatNext as texts } from '~/texts/en'

/** What to do with this session the next time, why, and what changes row by row; put on its day with one press. */
const props = defineProps<{ logged: LoggedRecording }>()
const athletes = useAthleteStore()
const dates = useDates()
const { problem, isBusy, guarded } = useGuarded()

/** Other hard days around the day it would be done on. */
const hardDays = ref(0)
const proposals = computed<NextProposal[]>(() => {
  const { session, score, recording } = props.logged
  return session && score ? nextOf(session, recording, score, athletes.standpoint, hardDays.value) : []
})
const kind = ref<string | null>(null)
const chosen = computed(() => proposals.value.find(one => one.kind === kind.value) ?? proposals.value[0] ?? null)
/** The same weekday a week later, or the next of them to come. */
const usualDay = computed(() => {
  let day = daysFrom(dayOfRecording(props.logged.recording, athletes.standpoint.zone), 7)
  while (day <= athletes.today) day = daysFrom(day, 7)
  return day
})
const day = ref<string | null>(null)
watch(
  () => day.value ?? usualDay.value,
  on =>
    guarded(async () => {
      const { entries } = await api<PlanSpan>(`/plan/span?from=${daysFrom(on, -3)}&to=${daysFrom(on, 3)}`)
      if (on === (day.value ?? usualDay.value)) hardDays.value = hardDaysAround(on, entries)
    }),
  { immediate: true },
)
const told = ref<PlanSpan['undo']>(null)
const take = () =>
  guarded(async () => {
    const body = { kind: chosen.value!.kind, day: day.value ?? usualDay.value }
    told.value = await api<PlanSpan['undo']>(`/recordings/${props.logged.id}/next`, { method: 'POST', body })
  })
const undo = () =>
  guarded(async () => {
    await api('/plan/undo', { method: 'POST', body: { number: told.value!.number } })
    told.value = null
  })
/** N outside text puts it on its day. */
useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  if (event.code !== 'KeyN' || isTyping(event) || event.ctrlKey || event.metaKey || event.altKey || event.repeat) return
  if (chosen.value && chosen.value.kind !== 'rest' && !told.value && !isBusy.value) void take()
})
</script>

<template>
  <section v-if="chosen" class="next" :aria-label="texts.whatNext" data-test="what-next">
    <h2>{{ texts.whatNext }}</h2>
    <p>
      <strong data-test="next-kind">{{ texts.kinds[chosen.kind] }}</strong> {{ chosen.because.join(' ') }}
    </p>
    <DeskRowDiff v-if="chosen.by" :before="logged.session!" :after="chosen.session" data-test="next-rows" />
    <p v-for="caution in chosen.cautions" :key="caution" class="said ask">{{ caution }}</p>
    <p v-if="proposals.length > 1" class="faint noprint">
      {{ texts.orElse }}
      <el-button v-for="one in proposals.filter(other => other !== chosen)" :key="one.kind" link type="primary" @click="kind = one.kind">{{
        texts.kinds[one.kind]
      }}</el-button>
    </p>
    <p v-if="told" class="said note" role="status" data-test="next-told">
      {{ told.said }}. <el-button link type="primary" :disabled="isBusy" @click="undo">{{ texts.undo }}</el-button>
    </p>
    <p v-else-if="chosen.kind !== 'rest'" class="acts noprint">
      <el-button type="primary" :disabled="isBusy" data-test="take-next" @click="take">{{
        texts.putItOn(dates.day(day ?? usualDay))
      }}</el-button>
      <DayField
        v-model="day"
        clearable
        :label="texts.anotherDay"
        :placeholder="texts.anotherDay"
        :is-off="(date: Date) => dayInZone(date, athletes.standpoint.zone) < athletes.today" />
    </p>
    <ProblemAlert :problem="problem" />
  </section>
</template>

<style scoped>
.next {
  margin: 18px 0;
}
.next p {
  margin: 6px 0;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
}
</style>
