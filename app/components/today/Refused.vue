<script setup lang="ts">
import type { Decision } from '~~/shared/plan'
import { actWords } from '~/watches/words'
import { todayRefused as texts } from '~/texts/en'

/** A push that was done by itself, and what of it could not be done. */
defineProps<{ decision: Extract<Decision, { code: 'push' }>; isBusy: boolean }>()
const emit = defineEmits<{ again: [] }>()
const dates = useDates()
</script>

<template>
  <span>
    {{ texts.pushWasRefused(dates.momentOf(decision.triedAt), decision.watch) }}
    <span v-for="(act, index) in decision.refused" :key="index" class="why">{{
      act.do === 'fault' ? act.problem : actWords(act, dates.day)
    }}</span>
    <el-button link type="primary" :disabled="isBusy" data-test="push-again" @click="emit('again')">{{ texts.tryAgain }}</el-button>
    {{ ' ' }}<NuxtLink to="/watches">{{ texts.toTheWatches }}</NuxtLink>
  </span>
</template>

<style scoped>
.why {
  display: block;
  color: var(--faint);
}
</style>
