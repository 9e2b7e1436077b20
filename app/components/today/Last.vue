<script setup lang="ts">
import { sayToTheMinute } from '~~/core/quantity/time'
import type { DoneRow } from '~~/shared/plan'
import { todayLast as texts } from '~/texts/en'

/** The last session that was done, in a sentence. */
const props = defineProps<{ last: DoneRow }>()
const dates = useDates()
const upshot = computed(() => {
  const { seconds, held, rpe } = props.last
  return [
    texts.took(sayToTheMinute(seconds)),
    held === null ? '' : texts.held(Math.round(held * 100)),
    rpe === null ? texts.howItFelt : texts.felt(rpe),
  ]
    .filter(Boolean)
    .join(' ')
})
</script>

<template>
  <section class="last" data-test="last">
    <h2>{{ texts.last(last.title, dates.day(last.day, { weekday: 'long' })) }}</h2>
    <p>
      {{ upshot }} <NuxtLink :to="`/log/${last.id}`">{{ texts.asRun }}</NuxtLink>
    </p>
    <SessionCord :cord="last.cord" :width="880" class="wide" />
  </section>
</template>

<style scoped>
.last {
  margin-top: 22px;
}
h2,
p {
  margin: 0 0 4px;
}
.wide {
  display: block;
  width: 100%;
}
</style>
