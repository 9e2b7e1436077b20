<script setup lang="ts">
import { daysFrom } from '~~/core/quantity/day'
import type { PlanAsk } from '~~/shared/api'
import { weeksWholeWeek as texts } from '~/texts/en'

/** What can be done with a whole week: copied on, shifted after an illness, two of its days swapped, cleared. */
const props = defineProps<{ week: string; today: string; isBusy: boolean }>()
const emit = defineEmits<{ edit: [ask: PlanAsk] }>()
const isOpen = ref(false)
const dates = useDates()
const days = computed(() => Array.from({ length: 7 }, (_, offset) => daysFrom(props.week, offset)))
const left = computed(() => days.value.filter(day => day >= props.today))
const from = ref('')
const by = ref<number | undefined>(1)
const one = ref('')
const other = ref('')
watch(
  () => props.week,
  () => ([from.value, one.value, other.value] = [left.value[0] ?? '', left.value[0] ?? '', left.value[1] ?? '']),
  { immediate: true },
)
function ask(edit: PlanAsk) {
  isOpen.value = false
  emit('edit', edit)
}
</script>

<template>
  <el-button :aria-expanded="isOpen" :disabled="isBusy" data-test="whole-week" @click="isOpen = !isOpen">{{ texts.wholeWeek }}</el-button>
  <section v-if="isOpen" class="whole" :aria-label="texts.wholeWeek">
    <p>
      <el-button data-test="copy-week" @click="ask({ do: 'copy', from: week, days: 7, to: daysFrom(week, 7) })">{{
        texts.copyToTheNext
      }}</el-button>
      <el-button data-test="clear-week" @click="ask({ do: 'clear', from: week, days: 7 })">{{ texts.takeAllOff }}</el-button>
    </p>
    <p v-if="left.length > 0">
      {{ texts.moveAllFrom }}
      <el-select v-model="from" size="small" :aria-label="texts.fromDay" data-test="shift-from">
        <el-option v-for="day in left" :key="day" :value="day" :label="dates.day(day)" />
      </el-select>
      {{ texts.onBy }}
      <el-input-number v-model="by" :min="-60" :max="60" :controls="false" size="small" :aria-label="texts.days" data-test="shift-by" />
      {{ texts.days }}
      <el-button :disabled="!by" data-test="shift" @click="ask({ do: 'shift', from, by: by! })">{{ texts.moveThem }}</el-button>
    </p>
    <p v-if="left.length > 1">
      {{ texts.swap }}
      <el-select v-model="one" size="small" :aria-label="texts.oneDay">
        <el-option v-for="day in left" :key="day" :value="day" :label="dates.day(day)" />
      </el-select>
      {{ texts.and }}
      <el-select v-model="other" size="small" :aria-label="texts.otherDay">
        <el-option v-for="day in left" :key="day" :value="day" :label="dates.day(day)" />
      </el-select>
      <el-button :disabled="one === other" data-test="swap" @click="ask({ do: 'swap', one, other })">{{ texts.swapThem }}</el-button>
    </p>
  </section>
</template>

<style scoped>
.whole {
  order: 1;
  flex-basis: 100%;
  border-left: 4px solid var(--clay-2);
  padding: 2px 0 2px 12px;
}
.whole p {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
  margin: 6px 0;
}
.whole .el-select {
  width: 130px;
}
.whole .el-input-number {
  width: 60px;
}
</style>
