<script setup lang="ts">
import type { Edit } from '~~/core/edit/edit'
import type { NudgePicture } from '~~/core/forecast/forecast'
import type { SchoolBand } from '~~/core/forecast/quiet'
import { printTarget } from '~~/core/script/print-target'
import type { ProgramTarget } from '~~/core/wrist/program/program'
import { sayTarget } from '~~/core/athlete/say-target'
import type { PaceReading } from '~~/core/athlete/say-target'
import type { KeptWatch } from '~~/shared/api'
import { quietEdits } from '~/forecast/quiet-edits'
import { manyRuns } from '~/forecast/use-forecast'
import { smallChart } from '~/theme/small-chart'

const props = defineProps<{
  picture: NudgePicture | null
  progress: number | null
  runs: number
  problem: string
  watches: KeptWatch[]
  watch: string
  reading: PaceReading
}>()
const emit = defineEmits<{ watch: [id: string]; many: []; stop: []; take: [edits: Edit[]] }>()

const total = computed(() => props.picture?.forecast.total ?? null)
const quiet = computed(() => props.picture?.quiet ?? null)
const edits = computed<Edit[]>(() => quietEdits(quiet.value))
const mended = computed(() => (quiet.value?.steps ?? []).filter(step => step.target !== null))
const wide = computed(() => [...new Set(mended.value.map(step => step.words))])
const byMean = computed(() => mended.value.find(step => step.byMeanOf !== null)?.byMeanOf ?? null)
/** Rows that nag and cannot be given room. */
const nagging = computed(() => (quiet.value?.steps ?? []).filter(step => step.target === null))
const names: Record<SchoolBand['kind'], string> = {
  'quiet': 'quiet',
  'lean-fast': 'lean fast',
  'even': 'even',
  'percent': 'percent',
  'as-said': 'as said',
}
const bandOf = ({ unit, easiest, hardest }: SchoolBand) =>
  sayTarget(
    { of: unit === 'm/s' ? 'pace' : unit === 'W' ? 'power' : 'heart-rate', unit: unit as ProgramTarget['unit'], easiest, hardest },
    props.reading,
  )

const option = computed(() => {
  const { tokens, text, base } = smallChart()
  const schools = [...(props.picture?.schools ?? [])].reverse()
  const [low, high] = [Math.min(...schools.map(school => school.easiest)), Math.max(...schools.map(school => school.hardest))]
  const room = (high - low) * 0.02
  return {
    ...base,
    grid: { left: 66, right: 34, top: 2, bottom: 2 },
    xAxis: { type: 'value' as const, min: low - room, max: high + room, show: false },
    yAxis: {
      type: 'category' as const,
      data: schools.map(school => names[school.kind]),
      axisLine: { show: false },
      axisTick: { show: false },
      axisLabel: { ...text, color: tokens.slip, margin: 6 },
    },
    series: [
      {
        type: 'bar' as const,
        stack: 'band',
        silent: true,
        itemStyle: { color: 'transparent' },
        data: schools.map(school => school.easiest),
      },
      {
        type: 'bar' as const,
        stack: 'band',
        silent: true,
        barWidth: 10,
        itemStyle: { color: tokens.band, borderColor: tokens.effort, borderWidth: 1 },
        data: schools.map(school => ({
          value: school.hardest - school.easiest,
          ...(school.kind === 'as-said' ? { itemStyle: { color: tokens.effort } } : {}),
        })),
      },
    ],
  }
})
const isLong = computed(() => props.progress !== null && (props.runs >= manyRuns || props.progress > 0.02))
const sayNagging = (steps: readonly { path: string; expected: number }[]) =>
  steps.length === 1
    ? `Row ${steps[0]!.path} nudges about ${Math.round(steps[0]!.expected)} times.`
    : `${steps.length} rows nudge up to ${Math.round(Math.max(...steps.map(step => step.expected)))} times each.`
const quietWords = computed(() => (quiet.value?.main ? printTarget(quiet.value.main) : ''))
</script>

<template>
  <section aria-label="Nudges" data-test="nudges">
    <div class="headed next">
      <h2>Nudges</h2>
      <Explained term="nudge" />
    </div>
    <p v-if="problem" class="said error">{{ problem }}</p>
    <p v-if="total && picture!.forecast.perStep.length === 0" class="faint">Nothing here that a watch would hold you to.</p>
    <p v-else-if="total" class="line">
      About <strong data-test="nudges-total">{{ Math.round(total.expected) }}</strong> ({{ total.low }}–{{ total.high }}) with these bands
      <label
        >on
        <el-select :model-value="watch" aria-label="Watch" @change="emit('watch', $event)">
          <el-option value="" label="any watch" />
          <el-option v-for="one in watches" :key="one.id" :value="one.id" :label="one.name" /> </el-select
      ></label>
    </p>
    <p v-if="progress !== null" class="faint small" role="status">
      reckoning…
      <template v-if="isLong"
        >{{ Math.round(progress * 100) }} % <el-button link type="primary" @click="emit('stop')">stop</el-button></template
      >
    </p>
    <template v-if="picture && picture.forecast.perStep.length > 0">
      <p v-if="edits.length > 0" class="line">
        <el-button link type="primary" data-test="take-quiet" @click="emit('take', edits)">
          {{ byMean === null ? 'Take the quiet band' : `Be led by the mean of ${byMean} s` }}
        </el-button>
        <Explained term="quiet-band" />
        <kbd>Alt Q</kbd>{{ ' ' }}
        <span class="faint">{{ wide.length === 1 ? wide[0] : `in ${edits.length} rows` }}: about one in five minutes</span>
      </p>
      <p v-if="byMean !== null" class="faint small">No band alone is quiet here: it would have to be wider than what you mean to do.</p>
      <p v-if="nagging.length > 0" class="line" data-test="nagging">
        {{ sayNagging(nagging) }}
        <span class="faint">A zone, an open band or one that changes has no room to give: say a band of your own to be nudged less.</span>
      </p>
      <p v-if="edits.length === 0 && nagging.length === 0" class="line good">
        Quiet: no more than about one nudge in five minutes.<template v-if="quietWords">
          <span class="faint">The narrowest that stays so: {{ quietWords }}.</span></template
        >
      </p>
      <div v-if="picture.schools.length > 1" class="chart" :style="{ height: `${picture.schools.length * 22 + 4}px` }">
        <LazyChartPicture :option="option" label="The band of each way around this target; the table below says the same" />
      </div>
      <details>
        <summary>Bands and nudges as a table</summary>
        <table v-if="picture.schools.length > 0" class="ruled">
          <thead>
            <tr>
              <th>way</th>
              <th>band</th>
              <th class="number">a step</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="school in picture.schools" :key="school.kind">
              <td>{{ names[school.kind] }}</td>
              <td>{{ bandOf(school) }}</td>
              <td class="number">{{ school.expected }}</td>
            </tr>
          </tbody>
        </table>
        <table class="ruled">
          <thead>
            <tr>
              <th>row, round</th>
              <th class="number">expected</th>
              <th class="number">range</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(step, index) in picture.forecast.perStep.slice(0, 200)" :key="index">
              <td>{{ step.path }}{{ step.round.length > 0 ? `, ${step.round.join('.')}` : '' }}</td>
              <td class="number">{{ step.expected.toFixed(1) }}</td>
              <td class="number">{{ step.low }}–{{ step.high }}</td>
            </tr>
          </tbody>
        </table>
      </details>
      <p class="faint small">
        Carried out {{ runs.toLocaleString('en-GB') }} times with your steadiness.
        <el-button v-if="runs < manyRuns && progress === null" link type="primary" data-test="many-runs" @click="emit('many')">
          {{ manyRuns.toLocaleString('en-GB') }} times
        </el-button>
      </p>
    </template>
  </section>
</template>

<style scoped>
.line {
  margin: 2px 0 4px;
}
.chart {
  width: 100%;
}
details {
  font-size: 0.88rem;
}
table {
  width: 100%;
  margin-bottom: 6px;
}
</style>
