<script setup lang="ts">
import type { FilledWeek } from '~~/shared/plan'
import { weeksFilled as texts } from '~/texts/en'

/** What a message has become: put there anew, changed, moved, taken off, or as it was. */
const props = defineProps<{ told: FilledWeek }>()
const emit = defineEmits<{ close: [] }>()
const parts = computed(() =>
  (
    [
      [texts.added, props.told.added],
      [texts.changed, props.told.changed],
      [texts.moved, props.told.moved],
      [texts.gone, props.told.gone],
      [texts.same, props.told.same],
    ] as const
  ).filter(([, titles]) => titles.length > 0),
)
</script>

<template>
  <div class="said note" role="status" data-test="filled">
    <p v-for="[words, titles] in parts" :key="words">
      <strong>{{ words }}</strong> {{ titles.join(', ') }}
    </p>
    <el-button link type="primary" @click="emit('close')">{{ texts.close }}</el-button>
  </div>
</template>

<style scoped>
p {
  margin: 0;
}
</style>
