<script setup lang="ts">
import { deskFirstWalk as texts } from '~/texts/en'
/** A short walk through the Desk, from a line of text to the watch; it can be left at every step. */
const emit = defineEmits<{ end: [] }>()
const isOpen = ref(true)
const steps = [
  { target: '.sheet .heads', title: 'Write a line', words: texts.typeOrPasteWhat + texts.andWhatItComes, placement: 'bottom' },
  { target: '.side', title: texts.whatItComesTo, words: texts.timeDistanceHowHard + texts.whereItComesFrom, placement: 'left' },
  { target: '.side [aria-label=Remarks]', title: texts.doubtsAreAsked, words: texts.whatHasTwoReadings, placement: 'left' },
  { target: '[data-test=send-to-watch]', title: texts.ontoTheWatch, words: texts.whatTheWatchCannot, placement: 'top' },
  { target: '.rim .tools', title: texts.findAnythingByKeys, words: texts.findLeadsToAny, placement: 'bottom' },
] as const
</script>

<template>
  <el-tour v-model="isOpen" append-to="#room" @close="emit('end')" @finish="emit('end')">
    <el-tour-step v-for="step in steps" :key="step.target" :target="step.target" :title="step.title" :placement="step.placement">
      {{ step.words }}
    </el-tour-step>
    <template #indicators="{ current, total }">{{ texts.of(current + 1, total) }}</template>
  </el-tour>
</template>
