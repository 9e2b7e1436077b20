<script setup lang="ts">
import { sendOffsFor } from '~~/core/calculator/send-off'
import { formatTime } from '~~/core/quantity/time'
import { showTime } from '~/calculator/typed'

const handover = useHandoverStore()

const props = defineProps<{ speed: number }>()
const metres = ref(100)
const swim = computed(() => metres.value / props.speed)
const rows = computed(() => sendOffsFor(swim.value, 10))
</script>

<template>
  <section>
    <h2>Send-offs</h2>
    <p>
      <label
        >for
        <el-select v-model="metres" data-test="send-off-metres">
          <el-option v-for="one in [25, 50, 75, 100, 150, 200, 300, 400]" :key="one" :value="one" :label="`${one} m`" /> </el-select
      ></label>
      <span class="faint">swum in {{ showTime(swim) }}</span>
    </p>
    <table class="ruled" data-test="send-offs">
      <thead>
        <tr>
          <th>on</th>
          <th class="number">rest, s</th>
          <th class="number">of the time</th>
          <th class="noprint">use</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.sendOff">
          <td>{{ formatTime(row.sendOff) }}</td>
          <td class="number">{{ Math.round(row.rest) }}</td>
          <td class="number">{{ Math.round(row.share * 100) }} %</td>
          <td class="noprint">
            <el-button
              link
              type="primary"
              :aria-label="`${metres} m on ${formatTime(row.sendOff)} to the Desk`"
              @click="handover.toDesk(`8 times\n  ${metres} m on ${formatTime(row.sendOff)}`)">
              use
            </el-button>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
