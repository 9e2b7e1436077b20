<script setup lang="ts">
import { weeksWorkFields as texts } from '~/texts/en'

/** How long other work takes and how hard it is. */
const minutes = defineModel<number | undefined>('minutes')
const effort = defineModel<number | undefined>('effort')
</script>

<template>
  <label
    >{{ texts.minutes }} <el-input-number v-model="minutes" :min="1" :max="2880" :controls="false" size="small" data-test="put-minutes"
  /></label>
  <label
    >{{ texts.effortOf10 }} <el-input-number v-model="effort" :min="0" :max="10" :controls="false" size="small" data-test="put-effort"
  /></label>
</template>
