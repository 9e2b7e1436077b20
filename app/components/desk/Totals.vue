<script setup lang="ts">
import { sayReckonRemark } from '~~/core/words/reckoning'
import { sayDistance } from '~~/core/quantity/distance'
import type { DistanceUnit } from '~~/core/quantity/units'
import { formatTime, sayDuration } from '~~/core/quantity/time'
import { deskTotals as texts } from '~/texts/en'

const props = defineProps<{ unit: DistanceUnit }>()
const desk = useDeskReadingStore()

const steps = computed(() => desk.reckoning?.flat.length ?? 0)
const likely = computed(() => desk.reckoning?.seconds.likely ?? null)
const total = computed(() => {
  const seconds = likely.value
  if (seconds === null || steps.value === 0) return '–'
  return sayDuration(seconds < 3600 ? seconds : Math.round(seconds / 60) * 60)
})
const habit = computed(() => (likely.value === null ? 0 : Math.max(0, likely.value - desk.fixed)))
const distance = computed(() => {
  const metres = desk.reckoning?.metres
  if (!metres || metres.likely === null) return texts.notKnown
  if (steps.value === 0) return '–'
  const { unit } = props
  if (metres.low === null || metres.high === null || metres.high - metres.low < 50) return texts.about(sayDistance(metres.likely, unit))
  return `${sayDistance(metres.low, unit).replace(/ \w+$/, '')}–${sayDistance(metres.high, unit)}`
})

const missing = computedAlike(() =>
  [
    ...new Map(
      (desk.reckoning?.remarks ?? [])
        .filter(remark => remark.code !== 'lap')
        .map(remark => [sayReckonRemark(remark), 'missing' in remark ? remark.missing : null] as const),
    ),
  ].slice(0, 4),
)
</script>

<template>
  <section :aria-label="texts.totals">
    <div class="headed">
      <h2>{{ texts.total }}</h2>
      <AfterRoom><LazyExplained term="total" /></AfterRoom>
    </div>
    <p class="total" data-test="total">{{ total }}</p>
    <p class="faint line" data-test="fixed">
      <template v-if="steps === 0">{{ texts.writeARowOr }}</template>
      <template v-else>{{ texts.fixed(formatTime(Math.round(desk.fixed))) }}</template><template v-if="habit >= 1">{{
        texts.estimated(sayDuration(habit))
      }}</template>
    </p>
    <dl>
      <dt>{{ texts.distance }}</dt>
      <dd class="mono">{{ distance }}</dd>
      <dt>{{ texts.hardPart }}</dt>
      <dd class="mono">{{ steps === 0 ? '–' : desk.hard === null ? texts.notKnown : formatTime(Math.round(desk.hard)) }}</dd>
      <dt>
        <label for="today">{{ texts.timeToday }}</label>
      </dt>
      <dd><DeskTimeToday /></dd>
      <dt>{{ texts.steps }}</dt>
      <dd class="mono" data-test="steps">
        {{ steps }}<template v-if="desk.reckoning && desk.reckoning.open > 0">{{ texts.open(desk.reckoning.open) }}</template>
      </dd>
    </dl>
    <AfterRoom><LazyDeskHomeBy v-if="desk.reckoning && steps > 0" :seconds="desk.reckoning.seconds" /></AfterRoom>
    <div v-for="[line, lacks] in missing" :key="line" class="said note">
      {{ line[0]?.toUpperCase() + line.slice(1) }}.<AfterRoom><LazyMeAskNumber v-if="lacks" :missing="lacks" /></AfterRoom>
    </div>
  </section>
</template>

<style scoped>
.total {
  font: 700 2.5rem/1.1 var(--title);
  margin: 4px 0 0;
}
.line {
  margin: 0 0 10px;
  font-size: 0.92rem;
}
dl {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 4px 10px;
  margin: 0 0 10px;
}
dd {
  margin: 0;
  text-align: right;
}
</style>
