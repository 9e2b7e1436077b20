<script setup lang="ts">
import { fuelPrompt, fuelTimes } from '~~/core/calculator/fuel'
import { formatTime } from '~~/core/quantity/time'
import { calculatorFuel as texts } from '~/texts/en'

const handover = useHandoverStore()

const props = defineProps<{ seconds: number }>()
const say = ref('drink')
const first = ref(40)
const every = ref(20)
const keepGoing = ref(true)
const plan = computed(() => ({ first: first.value * 60, every: every.value * 60 }))
const times = computed(() => fuelTimes(plan.value, props.seconds))
const isWrong = computed(
  () =>
    !(first.value >= 0 && first.value <= 600) ||
    !(every.value >= 1 && every.value <= 240) ||
    !/^[a-z][\w -]{0,30}$/i.test(say.value.trim()),
)
const prompt = computed(() => fuelPrompt(say.value.trim(), plan.value, keepGoing.value ? null : Math.max(1, times.value.length)))
</script>

<template>
  <section>
    <h2>{{ texts.drinkAndEat }}</h2>
    <p class="controls">
      <label>{{ texts.say }} <el-input v-model="say" maxlength="30" data-test="fuel-say" /></label>
      <label
        >{{ texts.firstAt }} <el-input v-model.number="first" class="mono" type="number" min="0" max="600" data-test="fuel-first" />
        {{ texts.min }}</label
      >
      <label
        >{{ texts.thenEvery }} <el-input v-model.number="every" class="mono" type="number" min="1" max="240" data-test="fuel-every" />
        {{ texts.min }}</label
      >
      <el-checkbox v-model="keepGoing">{{ texts.keepGoingIfIt }}</el-checkbox>
    </p>
    <p v-if="isWrong" class="bad" role="alert">{{ texts.aWordToSay }}</p>
    <template v-else>
      <p data-test="fuel-times">
        {{
          times.length === 0
            ? texts.tooShortToNeed
            : texts.times(
                times.length,
                times
                  .slice(0, 12)
                  .map(time => formatTime(time))
                  .join(', '),
                times.length > 12 ? ' …' : '',
              )
        }}
      </p>
      <p v-if="times.length > 0">
        <span class="mono">{{ prompt }}</span>
        <el-button link type="primary" class="noprint" data-test="drop-fuel" @click="handover.toDesk(prompt)">{{
          texts.toTheDesk
        }}</el-button>
      </p>
    </template>
    <p class="faint small">{{ texts.drinkToThirstIn }}</p>
  </section>
</template>

<style scoped>
.controls {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
  margin: 4px 0;
}
.controls .el-input {
  width: 84px;
}
.controls .mono {
  width: 66px;
}
</style>
