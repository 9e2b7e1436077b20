<script setup lang="ts">
import { metresPer } from '~~/core/quantity/distance'
import type { Movement } from '~~/core/calculator/movement'
import type { Pacing } from '~~/core/calculator/pacing'
import { pacedSplits } from '~~/core/calculator/pacing'
import type { Sport } from '~~/core/session/document'
import type { SpeedUnit } from '~/calculator/typed'
import { showDistance, showTime } from '~/calculator/typed'
import { calculatorSplits as texts } from '~/texts/en'

const handover = useHandoverStore()

const props = defineProps<{ movement: Movement; sport: Sport; unit: SpeedUnit }>()

const pacing = ref<Pacing>('even')
const change = ref(2)
const lengths = computed(() =>
  (props.sport === 'swim' ? [50, 100, 200, 400] : [100, 200, 400, 1000, metresPer.mi, 5000]).filter(
    metres => metres < props.movement.metres && props.movement.metres / metres <= 60,
  ),
)
const each = ref(1000)
watch(
  lengths,
  now => {
    if (!now.includes(each.value))
      each.value = now.find(metres => props.movement.metres / metres <= 12) ?? now.at(-1) ?? props.movement.metres
  },
  { immediate: true },
)
const name = (metres: number) => (metres === metresPer.mi ? '1 mi' : showDistance(metres))
const splits = computed(() => pacedSplits(props.movement.metres, props.movement.seconds, each.value, pacing.value, change.value / 100))
const asRows = computed(() =>
  splits.value
    .map(split => `${showDistance(split.metres)} @ ${props.unit.show(split.metres / split.seconds)} ${props.unit.words}`)
    .join('\n'),
)
</script>

<template>
  <section>
    <h2>{{ texts.splits }}</h2>
    <p class="controls">
      <label
        >{{ texts.each }}
        <el-select v-model="each" data-test="split-each">
          <el-option v-for="metres in lengths" :key="metres" :value="metres" :label="name(metres)" /> </el-select
      ></label>
      <label
        ><el-select v-model="pacing" :aria-label="texts.howItIsPaced" data-test="pacing">
          <el-option value="even" :label="texts.even" />
          <el-option value="negative" :label="texts.secondHalfFaster" />
          <el-option value="progressive" :label="texts.fasterWithEach" /> </el-select
      ></label>
      <label v-if="pacing !== 'even'"
        >{{ texts.by }}
        <el-input v-model.number="change" class="mono" type="number" min="0" max="20" step="0.5" data-test="pacing-change" /> %</label
      >
      <el-button link type="primary" class="noprint" data-test="drop-splits" @click="handover.toDesk(asRows)">{{
        texts.toTheDesk
      }}</el-button>
    </p>
    <table class="ruled" data-test="splits">
      <thead>
        <tr>
          <th>{{ texts.at }}</th>
          <th class="number">{{ texts.split }}</th>
          <th class="number">{{ texts.clock }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(split, index) in splits" :key="index">
          <td>{{ showDistance(splits.slice(0, index + 1).reduce((sum, one) => sum + one.metres, 0)) }}</td>
          <td class="number">{{ showTime(split.seconds) }}</td>
          <td class="number">{{ showTime(split.elapsed) }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.controls {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
  margin: 4px 0;
}
.el-input {
  width: 70px;
}
</style>
