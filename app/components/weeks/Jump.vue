<script setup lang="ts">
import { weeksJump as texts } from '~/texts/en'

/** The week of any day. */
const emit = defineEmits<{ jump: [day: string] }>()
const dates = useDates()
const day = ref<string | null>(null)
watch(day, picked => picked && emit('jump', picked))
</script>

<template>
  <el-date-picker
    v-model="day"
    type="date"
    value-format="YYYY-MM-DD"
    :format="dates.pickerForm.value"
    :placeholder="texts.jumpToADay"
    :aria-label="texts.jumpToADay"
    :clearable="false"
    style="width: 150px"
    append-to="#room" />
</template>
