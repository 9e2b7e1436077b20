<script setup lang="ts">
import { beltFor } from '~~/core/calculator/treadmill'
import type { SpeedUnit } from '~/calculator/typed'
import { calculatorTreadmill as texts } from '~/texts/en'

const handover = useHandoverStore()

const props = defineProps<{ speed: number; unit: SpeedUnit }>()
const grades = [0, 1, 2, 3, 4, 5, 6, 8, 10, 12]
const rows = computed(() =>
  grades.map(grade => {
    const belt = beltFor(props.speed, grade)
    return { grade, pace: props.unit.show(belt), kmh: (belt * 3.6).toFixed(1) }
  }),
)
</script>

<template>
  <section>
    <h2>{{ texts.sameEffortUphillOr }}</h2>
    <table class="ruled" data-test="treadmill">
      <thead>
        <tr>
          <th>{{ texts.grade }}</th>
          <th class="number">{{ unit.words }}</th>
          <th class="number">{{ texts.kmH }}</th>
          <th class="noprint">{{ texts.use }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.grade">
          <td>{{ row.grade }} %</td>
          <td class="number">{{ row.pace }}</td>
          <td class="number">{{ row.kmh }}</td>
          <td class="noprint">
            <el-button
              link
              type="primary"
              :aria-label="texts.toTheDesk(row.grade)"
              @click="handover.toDesk(`10:00${row.grade === 0 ? '' : texts.uphill(row.grade)} @ ${row.pace} ${unit.words}`)">
              {{ texts.use }}
            </el-button>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="faint small">
      {{ texts.byTheCostOf }}
    </p>
  </section>
</template>
