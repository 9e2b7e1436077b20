<script setup lang="ts">
import { weeksJump as texts } from '~/texts/en'

/** The week of any day. */
const emit = defineEmits<{ jump: [day: string] }>()
const day = ref<string | null>(null)
watch(day, picked => picked && emit('jump', picked))
</script>

<template>
  <DayField v-model="day" :label="texts.jumpToADay" :placeholder="texts.jumpToADay" />
</template>
