<script setup lang="ts">
import { metresPer } from '~~/core/quantity/distance'
import { equivalentTimes } from '~~/core/calculator/equivalent'
import type { Movement } from '~~/core/calculator/movement'
import type { Sport } from '~~/core/session/document'
import type { SpeedUnit } from '~/calculator/typed'
import { showDistance, showTime } from '~/calculator/typed'
import { calculatorEquivalents as texts } from '~/texts/en'

const handover = useHandoverStore()

const props = defineProps<{ movement: Movement; sport: Sport; unit: SpeedUnit }>()
const athletes = useAthleteStore()
const distances = computed(() =>
  props.sport === 'swim' ? [100, 200, 400, 800, 1500, 1900] : [400, 800, 1500, metresPer.mi, 3000, 5000, 10_000, 21_097.5, 42_195],
)
const rows = computed(() => equivalentTimes(props.movement, distances.value, props.sport, athletes.standpoint))
const names: Record<number, string> = { [metresPer.mi]: '1 mi', 21_097.5: texts.halfMarathon, 42_195: 'marathon' }
</script>

<template>
  <section>
    <h2>{{ texts.equivalentTimes }}</h2>
    <table class="ruled" data-test="equivalents">
      <thead>
        <tr>
          <th>{{ texts.over }}</th>
          <th class="number">{{ texts.powerLaw }}</th>
          <th v-if="sport === 'run'" class="number">{{ texts.oxygen }}</th>
          <th class="number">{{ texts.pace }}</th>
          <th class="noprint">{{ texts.use }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.metres">
          <td>{{ names[row.metres] ?? showDistance(row.metres) }}</td>
          <td class="number">{{ showTime(Math.round(row.byPowerLaw)) }}</td>
          <td v-if="sport === 'run'" class="number">{{ row.byOxygen === null ? '–' : showTime(Math.round(row.byOxygen)) }}</td>
          <td class="number">
            {{ unit.show(row.metres / row.byPowerLaw) }} <span class="faint">{{ unit.words }}</span>
          </td>
          <td class="noprint">
            <el-button
              link
              type="primary"
              :aria-label="texts.paceToTheDesk(names[row.metres] ?? showDistance(row.metres))"
              @click="handover.toDesk(`${showDistance(row.metres)} @ ${unit.show(row.metres / row.byPowerLaw)} ${unit.words}`)">
              {{ texts.use }}
            </el-button>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="faint small">
      {{ texts.powerLawRiegel1981 }}
    </p>
  </section>
</template>
