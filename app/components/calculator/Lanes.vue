<script setup lang="ts">
import { lapMetres } from '~~/core/reckon/lap'
import { showTime } from '~/calculator/typed'

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
    <h2>A lap by lane</h2>
    <table class="ruled" data-test="lanes">
      <thead>
        <tr>
          <th>lane</th>
          <th class="number">lap, m</th>
          <th class="number">at this pace</th>
          <th class="number">costs, s</th>
          <th class="noprint">use</th>
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
              :aria-label="`Lane ${row.lane} to the Desk`"
              @click="handover.toDesk(`place track, lane ${row.lane}`)">
              use
            </el-button>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="faint small">
      On a standard 400 m track, measured 30 cm out from the kerb in lane 1 and 20 cm out from the line in the others.
    </p>
  </section>
</template>
