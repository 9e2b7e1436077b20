<script setup lang="ts">
import { daysFrom, daysOfWeek } from '~~/core/quantity/day'
import type { PlanAsk } from '~~/shared/plan'
import { weeksWholeWeek as texts } from '~/texts/en'

/** What can be done with a whole week: copied on, as it is or a step harder or easier, shifted after an illness, swapped, cleared. */
const props = defineProps<{ week: string; today: string; isBusy: boolean }>()
const emit = defineEmits<{ edit: [ask: PlanAsk] }>()
const isOpen = ref(false)
const dates = useDates()
const left = computed(() => daysOfWeek(props.week).filter(day => day >= props.today))
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
const copy = (way?: 'harder' | 'easier') =>
  ask({ do: 'copy', from: props.week, days: 7, to: daysFrom(props.week, 7), ...(way ? { way } : {}) })
</script>

<template>
  <WeeksPanel v-model="isOpen" :label="texts.wholeWeek" name="whole-week" :is-busy="isBusy">
    <p>
      {{ texts.copyToTheNext }}
      <el-button data-test="copy-week" @click="copy()">{{ texts.asItIs }}</el-button>
      <el-button data-test="copy-harder" @click="copy('harder')">{{ texts.aLittleHarder }}</el-button>
      <el-button data-test="copy-easier" @click="copy('easier')">{{ texts.aLittleEasier }}</el-button>
    </p>
    <p class="faint">{{ texts.aStepIs }}</p>
    <p v-if="left.length > 0">
      {{ texts.moveAllFrom }}
      <el-select v-model="from" size="small" class="day" :aria-label="texts.fromDay" data-test="shift-from">
        <el-option v-for="day in left" :key="day" :value="day" :label="dates.day(day)" />
      </el-select>
      {{ texts.onBy }}
      <el-input-number
        v-model="by"
        :min="-60"
        :max="60"
        :controls="false"
        size="small"
        class="count"
        :aria-label="texts.days"
        data-test="shift-by" />
      {{ texts.days }}
      <el-button :disabled="!by" data-test="shift" @click="ask({ do: 'shift', from, by: by! })">{{ texts.moveThem }}</el-button>
    </p>
    <p v-if="left.length > 1">
      {{ texts.swap }}
      <el-select v-model="one" size="small" class="day" :aria-label="texts.oneDay">
        <el-option v-for="day in left" :key="day" :value="day" :label="dates.day(day)" />
      </el-select>
      {{ texts.and }}
      <el-select v-model="other" size="small" class="day" :aria-label="texts.otherDay">
        <el-option v-for="day in left" :key="day" :value="day" :label="dates.day(day)" />
      </el-select>
      <el-button :disabled="one === other" data-test="swap" @click="ask({ do: 'swap', one, other })">{{ texts.swapThem }}</el-button>
    </p>
    <p>
      <el-button data-test="clear-week" @click="ask({ do: 'clear', from: week, days: 7 })">{{ texts.takeAllOff }}</el-button>
    </p>
  </WeeksPanel>
</template>

<style scoped>
.day {
  width: 130px;
}
.count {
  width: 60px;
}
</style>
