<script setup lang="ts">
import type { SensorKind, SensorMessage } from '~~/core/sensors/gatt'
import { canBluetooth, connectSensor } from '~/phone/bluetooth'
import type { Connection } from '~/phone/bluetooth'
import { faceFaceSensors as texts } from '~/texts/en'

/** The sensors this phone listens to, and how each is heard. */
const emit = defineEmits<{ message: [message: SensorMessage] }>()
const kinds: { kind: SensorKind; words: string }[] = [
  { kind: 'heart-rate', words: texts.heartRate },
  { kind: 'cycling-power', words: texts.powerOnTheBike },
  { kind: 'cycling-cadence', words: texts.cadenceOnTheBike },
  { kind: 'running-speed', words: texts.sensorOnTheFoot },
  { kind: 'treadmill', words: 'treadmill' },
]
const connections = shallowRef<Partial<Record<SensorKind, Connection>>>({})
const heard = reactive<Partial<Record<SensorKind, boolean>>>({})
const problem = ref('')
const isPossible = canBluetooth()

async function connect(kind: SensorKind) {
  problem.value = ''
  try {
    const connection = await connectSensor(
      kind,
      message => emit('message', message),
      isHeard => (heard[kind] = isHeard),
    )
    connections.value = { ...connections.value, [kind]: connection }
  } catch (error) {
    problem.value = (error as Error).name === 'NotFoundError' ? texts.noSensorWasChosen : (error as Error).message
  }
}
function end(kind: SensorKind) {
  connections.value[kind]?.end()
  const { [kind]: _, ...others } = connections.value
  connections.value = others
  heard[kind] = false
}
onBeforeUnmount(() => (Object.keys(connections.value) as SensorKind[]).forEach(end))
</script>

<template>
  <ul v-if="isPossible">
    <li v-for="{ kind, words } in kinds" :key="kind">
      {{ words }}
      <template v-if="connections[kind]"
        ><span :class="heard[kind] ? 'good' : 'bad'">● {{ connections[kind]!.name }}{{ heard[kind] ? '' : texts.notHeard }}</span>
        <el-button link type="primary" @click="end(kind)">{{ texts.letGo }}</el-button></template
      >
      <el-button v-else link type="primary" @click="connect(kind)">{{ texts.connect }}</el-button>
    </li>
  </ul>
  <p v-else class="faint">{{ texts.thisBrowserHasNo }}</p>
  <p v-if="problem" class="bad" role="alert">{{ problem }}</p>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 4px 0;
}
li {
  display: flex;
  gap: 10px;
  flex-wrap: wrap;
  align-items: center;
  min-height: 40px;
  border-bottom: 1px solid var(--rule);
}
</style>
