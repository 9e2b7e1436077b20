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
import { deskNudges as texts } from '~/texts/en'

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
  'lean-fast': texts.leanFast,
  'even': 'even',
  'percent': 'percent',
  'as-said': texts.asSaid,
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
    ? texts.rowNudgesAboutTimes(steps[0]!.path, Math.round(steps[0]!.expected))
    : texts.rowsNudgeUpTo(steps.length, Math.round(Math.max(...steps.map(step => step.expected))))
const quietWords = computed(() => (quiet.value?.main ? printTarget(quiet.value.main) : ''))
</script>

<template>
  <section :aria-label="texts.nudges" data-test="nudges">
    <div class="headed next">
      <h2>{{ texts.nudges }}</h2>
      <Explained term="nudge" />
    </div>
    <p v-if="problem" class="said error">{{ problem }}</p>
    <p v-if="total && picture!.forecast.perStep.length === 0" class="faint">{{ texts.nothingHereThatA }}</p>
    <p v-else-if="total" class="line">
      {{ texts.about }} <strong data-test="nudges-total">{{ Math.round(total.expected) }}</strong>
      {{ texts.withTheseBands(total.low, total.high) }}
      <label
        >{{ texts.on }}
        <el-select :model-value="watch" :aria-label="texts.watch" @change="emit('watch', $event)">
          <el-option value="" :label="texts.anyWatch" />
          <el-option v-for="one in watches" :key="one.id" :value="one.id" :label="one.name" /> </el-select
      ></label>
    </p>
    <p v-if="progress !== null" class="faint small" role="status">
      {{ texts.reckoning }}
      <template v-if="isLong"
        >{{ Math.round(progress * 100) }} % <el-button link type="primary" @click="emit('stop')">{{ texts.stop }}</el-button></template
      >
    </p>
    <template v-if="picture && picture.forecast.perStep.length > 0">
      <p v-if="edits.length > 0" class="line">
        <el-button link type="primary" data-test="take-quiet" @click="emit('take', edits)">
          {{ byMean === null ? texts.takeTheQuietBand : texts.beLedByThe(byMean) }}
        </el-button>
        <Explained term="quiet-band" />
        <kbd>{{ texts.altQ }}</kbd>{{ ' ' }}
        <span class="faint">{{ texts.aboutOneInFive(wide.length === 1 ? wide[0]! : texts.inRows(edits.length)) }}</span>
      </p>
      <p v-if="byMean !== null" class="faint small">{{ texts.noBandAloneIs }}</p>
      <p v-if="nagging.length > 0" class="line" data-test="nagging">
        {{ sayNagging(nagging) }}
        <span class="faint">{{ texts.aZoneAnOpen }}</span>
      </p>
      <p v-if="edits.length === 0 && nagging.length === 0" class="line good">
        {{ texts.quietNoMoreThan
        }}<template v-if="quietWords">
          <span class="faint">{{ texts.theNarrowestThatStays(quietWords) }}</span></template
        >
      </p>
      <div v-if="picture.schools.length > 1" class="chart" :style="{ height: `${picture.schools.length * 22 + 4}px` }">
        <LazyChartPicture :option="option" :label="texts.theBandOfEach" />
      </div>
      <details>
        <summary>{{ texts.bandsAndNudgesAs }}</summary>
        <table v-if="picture.schools.length > 0" class="ruled">
          <thead>
            <tr>
              <th>{{ texts.way }}</th>
              <th>{{ texts.band }}</th>
              <th class="number">{{ texts.aStep }}</th>
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
              <th>{{ texts.rowRound }}</th>
              <th class="number">{{ texts.expected }}</th>
              <th class="number">{{ texts.range }}</th>
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
        {{ texts.carriedOutTimesWith(runs.toLocaleString('en-GB')) }}
        <el-button v-if="runs < manyRuns && progress === null" link type="primary" data-test="many-runs" @click="emit('many')">
          {{ texts.times(manyRuns.toLocaleString('en-GB')) }}
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
