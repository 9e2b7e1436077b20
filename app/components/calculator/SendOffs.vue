<script setup lang="ts">
import { sendOffsFor } from '~~/core/calculator/send-off'
import { formatTime } from '~~/core/quantity/time'
import { showTime } from '~/calculator/typed'
import { calculatorSendOffs as texts } from '~/texts/en'

const handover = useHandoverStore()

const props = defineProps<{ speed: number }>()
const metres = ref(100)
const swim = computed(() => metres.value / props.speed)
const rows = computed(() => sendOffsFor(swim.value, 10))
</script>

<template>
  <section>
    <h2>{{ texts.sendOffs }}</h2>
    <p>
      <label
        >{{ texts.for }}
        <el-select v-model="metres" data-test="send-off-metres">
          <el-option v-for="one in [25, 50, 75, 100, 150, 200, 300, 400]" :key="one" :value="one" :label="`${one} m`" /> </el-select
      ></label>
      <span class="faint">{{ texts.swumIn(showTime(swim)) }}</span>
    </p>
    <table class="ruled" data-test="send-offs">
      <thead>
        <tr>
          <th>{{ texts.on }}</th>
          <th class="number">{{ texts.restS }}</th>
          <th class="number">{{ texts.ofTheTime }}</th>
          <th class="noprint">{{ texts.use }}</th>
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
              :aria-label="texts.mOnToThe(metres, formatTime(row.sendOff))"
              @click="handover.toDesk(texts.n8TimesMOn(metres, formatTime(row.sendOff)))">
              {{ texts.use }}
            </el-button>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
