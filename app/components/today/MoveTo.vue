<script setup lang="ts">
import { daysFrom } from '~~/core/quantity/day'
import { todayMoveTo as texts } from '~/texts/en'

/** Another day for what is planned, of the coming week. */
const props = defineProps<{ today: string; day: string; isBusy: boolean }>()
const emit = defineEmits<{ move: [day: string] }>()
const dates = useDates()
const isOpen = ref(false)
const days = computed(() => Array.from({ length: 8 }, (_, offset) => daysFrom(props.today, offset)).filter(day => day !== props.day))

function move(day: string) {
  isOpen.value = false
  emit('move', day)
}
</script>

<template>
  <span class="move">
    <el-button :aria-expanded="isOpen" :disabled="isBusy" data-test="move-to" @click="isOpen = !isOpen">{{
      texts.moveToAnother
    }}</el-button>
    <span v-if="isOpen" class="days" role="group" :aria-label="texts.daysToMove">
      <el-button v-for="one in days" :key="one" link type="primary" :data-day="one" @click="move(one)">{{ dates.day(one) }}</el-button>
    </span>
  </span>
</template>

<style scoped>
.move,
.days {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
}
.days .el-button + .el-button {
  margin-left: 0;
}
</style>
