<script setup lang="ts">
import { beltFor } from '~~/core/calculator/treadmill'
import type { SpeedUnit } from '~/calculator/typed'

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
    <h2>Same effort uphill, or on a belt</h2>
    <table class="ruled" data-test="treadmill">
      <thead>
        <tr>
          <th>grade</th>
          <th class="number">{{ unit.words }}</th>
          <th class="number">km/h</th>
          <th class="noprint">use</th>
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
              :aria-label="`${row.grade} % to the Desk`"
              @click="handover.toDesk(`10:00${row.grade === 0 ? '' : ` uphill ${row.grade} %`} @ ${row.pace} ${unit.words}`)">
              use
            </el-button>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="faint small">
      By the cost of running on a slope, Minetti (2002). Wind is left out: a belt has none, and at a fast pace a grade of 1 % makes up for
      it.
    </p>
  </section>
</template>
