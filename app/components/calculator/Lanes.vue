<script setup lang="ts">
import { lapMetres } from '~~/core/reckon/lap'
import { showTime } from '~/calculator/typed'
import { calculatorLanes as texts } from '~/texts/en'

const handover = useHandoverStore()

const props = defineProps<{ speed: number }>()
const rows = computed(() =>
  Array.from({ length: 8 }, (_, index) => {
    const metres = lapMetres(index + 1)
    return {
      lane: index + 1,
      metres: metres.toFixed(1),
      seconds: showTime(metres / props.speed),
      more: ((metres - lapMetres(1)) / props.speed).toFixed(1),
    }
  }),
)
</script>

<template>
  <section>
    <h2>{{ texts.aLapByLane }}</h2>
    <table class="ruled" data-test="lanes">
      <thead>
        <tr>
          <th>{{ texts.lane }}</th>
          <th class="number">{{ texts.lapM }}</th>
          <th class="number">{{ texts.atThisPace }}</th>
          <th class="number">{{ texts.costsS }}</th>
          <th class="noprint">{{ texts.use }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.lane">
          <td>{{ row.lane }}</td>
          <td class="number">{{ row.metres }}</td>
          <td class="number">{{ row.seconds }}</td>
          <td class="number">{{ row.lane === 1 ? '–' : `+${row.more}` }}</td>
          <td class="noprint">
            <el-button
              link
              type="primary"
              :aria-label="texts.laneToTheDesk(row.lane)"
              @click="handover.toDesk(texts.placeTrackLane(row.lane))">
              {{ texts.use }}
            </el-button>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="faint small">
      {{ texts.onAStandard400 }}
    </p>
  </section>
</template>
