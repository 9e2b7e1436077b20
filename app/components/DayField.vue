<script setup lang="ts">
/** A day of the calendar, in the athlete's form. */
const props = defineProps<{ label: string; isOff?: (day: Date) => boolean; placeholder?: string; clearable?: boolean }>()
const day = defineModel<string | null>({ required: true })
const dates = useDates()
</script>

<template>
  <el-date-picker
    v-model="day"
    type="date"
    value-format="YYYY-MM-DD"
    :format="dates.pickerForm.value"
    :clearable="props.clearable ?? false"
    :placeholder="placeholder ?? ''"
    :aria-label="label"
    :disabled-date="isOff"
    style="width: 160px"
    append-to="#room" />
</template>
