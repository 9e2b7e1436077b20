<script setup lang="ts">
import { paceUnitWords, saySpeed } from '~~/core/athlete/say-target'
import { metresPer, sayDistance } from '~~/core/quantity/distance'
import { formatTime } from '~~/core/quantity/time'
import type { Recording } from '~~/core/record/recording'
import { fadeOf, lapsOf, splitsOf } from '~~/core/record/splits'
import type { LoggedSteps } from '~/log/logged-steps'
import { logSplits as texts } from '~/texts/en'

/** The recording in stretches of equal way, each with its time; of a swim hundreds, of a ride fives. */
const props = defineProps<{ recording: Recording; said: LoggedSteps }>()
const every = computed(() => {
  const { unit } = props.said
  const sport = props.recording.sport
  if (sport === 'swim') return 100 * (unit === 'yd' ? metresPer.yd : 1)
  const one = unit === 'mi' ? metresPer.mi : 1000
  return sport === 'ride' ? 5 * one : one
})
const laps = computed(() => lapsOf(props.recording))
const by = ref<'laps' | 'lengths'>(laps.value.length > 1 ? 'laps' : 'lengths')
const stretches = computed(() => splitsOf(props.recording, every.value))
const splits = computed(() => (by.value === 'laps' ? laps.value : stretches.value))
const has = (name: 'heartRate' | 'power' | 'climbed') => splits.value.some(split => split[name] !== null)
const fastest = computed(() => Math.max(...splits.value.map(({ speed }) => speed)))
const fade = computed(() => fadeOf(stretches.value.filter(({ metres }) => metres > every.value * 0.9)))
const number = (value: number | null) => (value === null ? '–' : String(Math.round(value)))
</script>

<template>
  <details v-if="splits.length > 1" class="splits" data-test="splits">
    <summary>{{ texts.splits(sayDistance(every, said.unit === 'yd' ? 'yd' : said.unit === 'mi' ? 'mi' : 'm')) }}</summary>
    <el-radio-group v-if="laps.length > 1" v-model="by" size="small" :aria-label="texts.by">
      <el-radio-button value="laps" :label="texts.laps" />
      <el-radio-button value="lengths" :label="texts.lengths" />
    </el-radio-group>
    <p v-if="fade !== null && Math.abs(fade) >= 0.01" class="faint">
      {{ fade > 0 ? texts.slower(Math.round(fade * 1000) / 10) : texts.faster(Math.round(-fade * 1000) / 10) }}
    </p>
    <div class="scroll-x">
      <table class="ruled">
        <thead>
          <tr>
            <th class="number">{{ texts.at }}</th>
            <th class="number">{{ texts.time }}</th>
            <th class="number">{{ paceUnitWords[said.reading] }}</th>
            <th v-if="has('power')" class="number">W</th>
            <th v-if="has('heartRate')" class="number">{{ texts.bpm }}</th>
            <th v-if="has('climbed')" class="number">{{ texts.climbed }}</th>
            <th class="drawn" aria-hidden="true"></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="split in splits" :key="split.at">
            <td class="number">{{ sayDistance(split.at, said.unit) }}</td>
            <td class="number">{{ formatTime(Math.round(split.seconds)) }}</td>
            <td class="number">{{ saySpeed(split.speed, said.reading) }}</td>
            <td v-if="has('power')" class="number">{{ number(split.power) }}</td>
            <td v-if="has('heartRate')" class="number">{{ number(split.heartRate) }}</td>
            <td v-if="has('climbed')" class="number">{{ number(split.climbed) }} m</td>
            <td class="drawn" aria-hidden="true">
              <i class="bar" :style="{ width: `${Math.round((110 * split.speed) / fastest)}px` }"></i>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </details>
</template>

<style scoped>
.splits {
  margin: 12px 0;
}
.bar {
  display: inline-block;
  height: 8px;
  background: var(--clay-3);
}
table {
  max-width: 640px;
}
@media (max-width: 480px) {
  .drawn {
    display: none;
  }
}
</style>
