<script setup lang="ts">
import { parseClock } from '~~/core/quantity/time'
import { movementOf } from '~~/core/calculator/movement'
import type { Sport } from '~~/core/session/document'
import { parseDistance, showDistance, showTime, speedUnits } from '~/calculator/typed'
import { calculatorPage as texts } from '~/texts/en'

const handover = useHandoverStore()

useHead({ title: 'Calculator · Agonis' })
const athletes = useAthleteStore()
onMounted(() => (athletes.isLoaded ? undefined : athletes.load().catch(() => {})))

type Name = 'distance' | 'time' | 'speed'
const sport = ref<Sport>('run')
const unitAt = ref(0)
const typed = reactive<Record<Name, string>>({ distance: '10 km', time: '47:00', speed: '' })
/** Which were typed, the latest last: the two latest are known, the third follows. */
const order = ref<Name[]>(['speed', 'distance', 'time'])
const units = computed(() => speedUnits(athletes.athlete, sport.value))
const unit = computed(() => units.value[unitAt.value] ?? units.value[0]!)

const read = (name: Name) => {
  if (name === 'distance') return parseDistance(typed.distance, athletes.athlete, sport.value)
  if (name === 'time') return parseClock(typed.time.trim()) || null
  return unit.value.toSpeed(typed.speed)
}
const follows = computed(() => order.value[0]!)
const wrong = computed(() => order.value.slice(1).find(name => typed[name].trim() !== '' && read(name) === null))
const reading = computed(() =>
  movementOf({
    metres: follows.value === 'distance' ? undefined : (read('distance') ?? undefined),
    seconds: follows.value === 'time' ? undefined : (read('time') ?? undefined),
    speed: follows.value === 'speed' ? undefined : (read('speed') ?? undefined),
  }),
)
const movement = computed(() => (reading.value.ok ? reading.value.movement : null))
const shown = (name: Name) => {
  if (name !== follows.value) return typed[name]
  if (!movement.value) return ''
  return name === 'distance'
    ? showDistance(movement.value.metres)
    : name === 'time'
      ? showTime(movement.value.seconds)
      : unit.value.show(movement.value.speed)
}
function type(name: Name, words: string) {
  if (follows.value === name) for (const other of ['distance', 'time', 'speed'] as const) if (other !== name) typed[other] = shown(other)
  typed[name] = words
  order.value = [...order.value.filter(other => other !== name), name]
}
function setUnit(index: number) {
  const speed = movement.value?.speed
  unitAt.value = index
  if (speed && follows.value !== 'speed') typed.speed = unit.value.show(speed)
}
watch(sport, now => {
  unitAt.value = 0
  Object.assign(
    typed,
    now === 'swim'
      ? { distance: '400 m', time: '7:16' }
      : now === 'ride'
        ? { distance: '40 km', time: '1:20:00' }
        : { distance: '10 km', time: '47:00' },
  )
  order.value = ['speed', 'distance', 'time']
})
const help: Record<Name, string> = { distance: texts.aDistanceAsIn, time: texts.aTimeAsIn, speed: texts.aPaceAsIn }
const asRow = computed(() =>
  movement.value ? `${showDistance(movement.value.metres)} @ ${unit.value.show(movement.value.speed)} ${unit.value.words}` : '',
)
const print = () => window.print()
</script>

<template>
  <div class="page reckoner">
    <div class="head">
      <h1>{{ texts.calculator }}</h1>
      <el-button class="noprint" @click="print">{{ texts.print }}</el-button>
    </div>
    <form class="known" :aria-label="texts.distanceTimeAndPace" @submit.prevent>
      <label
        >{{ texts.sport }}
        <el-select v-model="sport" data-test="sport">
          <el-option value="run" :label="texts.run" />
          <el-option value="ride" :label="texts.ride" />
          <el-option value="swim" :label="texts.swim" /> </el-select
      ></label>
      <label
        >{{ texts.distance }}
        <el-input
          class="mono"
          :class="{ follows: follows === 'distance' }"
          :model-value="shown('distance')"
          autocomplete="off"
          data-test="distance"
          @input="type('distance', $event)"
      /></label>
      <label
        >{{ texts.in }}
        <el-input
          class="mono"
          :class="{ follows: follows === 'time' }"
          :model-value="shown('time')"
          autocomplete="off"
          data-test="time"
          @input="type('time', $event)"
      /></label>
      <label
        >{{ texts.is }}
        <el-input
          class="mono"
          :class="{ follows: follows === 'speed' }"
          :model-value="shown('speed')"
          autocomplete="off"
          data-test="speed"
          @input="type('speed', $event)"
      /></label>
      <el-select :model-value="unitAt" :aria-label="texts.unitOfPaceOr" data-test="unit" @change="setUnit(Number($event))">
        <el-option v-for="(one, index) in units" :key="one.words" :value="index" :label="one.words" />
      </el-select>
      <el-button v-if="movement" link type="primary" class="noprint" data-test="drop-movement" @click="handover.toDesk(asRow)">
        {{ texts.toTheDesk }}
      </el-button>
    </form>
    <p v-if="wrong" class="bad" role="alert">{{ help[wrong] }}</p>
    <p v-else-if="!reading.ok" class="faint">{{ texts.itTakes(reading.missing) }}</p>
    <p v-else class="faint">{{ texts.typeAnyTwoThe }}</p>
    <div v-if="movement" class="tables">
      <CalculatorSplits :movement="movement" :sport="sport" :unit="unit" />
      <CalculatorEquivalents v-if="sport !== 'ride'" :movement="movement" :sport="sport" :unit="unit" :athlete="athletes.athlete" />
      <CalculatorTreadmill v-if="sport === 'run'" :speed="movement.speed" :unit="unit" />
      <CalculatorLanes v-if="sport === 'run'" :speed="movement.speed" />
      <CalculatorSendOffs v-if="sport === 'swim'" :speed="movement.speed" />
      <CalculatorFuel :seconds="movement.seconds" />
    </div>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 16px;
}
.known {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
  margin: 12px 0 4px;
  font-size: 1.1rem;
}
.known label {
  color: var(--faint);
}
.known .mono {
  width: 118px;
  font-size: 1.1rem;
}
.follows {
  font-style: italic;
  background: var(--lit);
}
.tables {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(340px, 100%), 1fr));
  gap: 20px 44px;
  align-items: start;
  margin-top: 14px;
}
.tables :deep(table) {
  width: 100%;
}
.tables :deep(.small) {
  font-size: 0.86rem;
}
@media print {
  .reckoner :deep(.noprint) {
    display: none;
  }
}
</style>
