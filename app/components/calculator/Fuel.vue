<script setup lang="ts">
import { fuelPrompt, fuelTimes } from '~~/core/calculator/fuel'
import { formatTime } from '~~/core/quantity/time'

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
    <h2>Drink and eat</h2>
    <p class="controls">
      <label>say <el-input v-model="say" maxlength="30" data-test="fuel-say" /></label>
      <label>first at <el-input v-model.number="first" class="mono" type="number" min="0" max="600" data-test="fuel-first" /> min</label>
      <label>then every <el-input v-model.number="every" class="mono" type="number" min="1" max="240" data-test="fuel-every" /> min</label>
      <el-checkbox v-model="keepGoing">keep going if it takes longer</el-checkbox>
    </p>
    <p v-if="isWrong" class="bad" role="alert">A word to say, a first time up to 600 min, and 1 to 240 min between.</p>
    <template v-else>
      <p data-test="fuel-times">
        {{
          times.length === 0
            ? 'Too short to need one.'
            : `${times.length} times: ${times
                .slice(0, 12)
                .map(time => formatTime(time))
                .join(', ')}${times.length > 12 ? ' …' : ''}`
        }}
      </p>
      <p v-if="times.length > 0">
        <span class="mono">{{ prompt }}</span>
        <el-button link type="primary" class="noprint" data-test="drop-fuel" @click="handover.toDesk(prompt)">to the Desk</el-button>
      </p>
    </template>
    <p class="faint small">Drink to thirst; in heat earlier. How much agrees with you is found out in training, not in a race.</p>
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
