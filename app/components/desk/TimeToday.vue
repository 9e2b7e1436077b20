<script setup lang="ts">
import { deskTimeToday as texts } from '~/texts/en'
const desk = useDeskReadingStore()
const take = (words: string) => (desk.minutesToday = Number(words) || null)
</script>

<template>
  <el-input
    id="today"
    class="minutes"
    type="number"
    min="1"
    max="2880"
    placeholder="–"
    :model-value="desk.minutesToday ?? ''"
    data-test="today"
    @input="take" />
  {{ texts.min }}
</template>

<style scoped>
.minutes {
  width: 76px;
}
</style>
