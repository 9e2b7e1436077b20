<script setup lang="ts">
import type { Edit } from '~~/core/edit/edit'
import { itemAt } from '~~/core/session/item-path'
import type { SessionForecast } from '~~/core/forecast/forecast'
import type { Interval } from '~~/core/reckon/interval'
import { printEnd } from '~~/core/script/print'
import type { Session } from '~~/core/session/document'
import { formatTime } from '~~/core/quantity/time'
import { howHardChart } from '~/forecast/how-hard-chart'
import { deskHowHard as texts } from '~/texts/en'

const props = defineProps<{ forecast: SessionForecast; session: Session }>()
const emit = defineEmits<{ edit: [edits: Edit[]] }>()
const isTable = ref(false)

const percent = (share: number) => `${Math.round(share * 100)} %`
function about({ low, likely, high }: Interval): string {
  if (likely === null) return texts.notKnown
  const ends = [low, high].map(end => (end === null ? '?' : String(Math.round(end))))
  return ends[0] === ends[1] ? ends[0]! : ends.join('–')
}
const nameOf = (path: string, round: readonly number[]) => {
  const item = itemAt(props.session, path)
  const words = item?.kind === 'step' ? printEnd(item.end) : path
  return round.length > 0 ? `${words}, ${round.join('.')}` : words
}
const used = computed(() => props.forecast.used?.course ?? null)
const heart = computed(() => props.forecast.heart ?? null)
const isBeyond = computed(() => props.forecast.used?.level === 'beyond')
const range = computed(() => {
  const { low, high } = props.forecast.used?.used ?? { low: null, high: null }
  return low === null ? '' : high === null ? texts.orMore(percent(low)) : `${percent(low)} to ${percent(high)}`
})
const levels = { easy: 'easy', steady: 'steady', hard: 'hard', race: texts.asHardAsA, beyond: 'beyond' } as const

const option = computed(() => howHardChart(used.value, heart.value))
const height = computed(() => `${(used.value ? 94 : 0) + (heart.value ? 74 : 0)}px`)
</script>

<template>
  <section :aria-label="texts.howHardItIs" data-test="how-hard">
    <div class="headed next">
      <h2>{{ texts.howHardItIs }}</h2>
      <Explained term="share-used" />
    </div>
    <p v-if="forecast.message" class="verdict" :class="{ bad: isBeyond }" data-test="verdict">{{ forecast.message }}</p>
    <p v-for="proposal in forecast.proposals" :key="proposal.label" class="proposal">
      <el-button v-if="proposal.edits.length > 0" link type="primary" data-test="proposal-take" @click="emit('edit', proposal.edits)">
        {{ proposal.label }}
      </el-button>
      <span v-else>{{ texts.better(proposal.label) }}</span>
      <span v-if="proposal.edits.length > 0" class="faint"> {{ texts.makesIt(levels[proposal.level], percent(proposal.used)) }}</span>
    </p>
    <div v-if="used || heart" class="chart" :style="{ height }">
      <LazyChartPicture :option="option" :label="texts.shareUsedAndHeart" />
    </div>
    <p v-if="used || heart" class="faint small">
      {{
        [
          used ? texts.heShareUsedOf(heart ? texts.aboveT : 'T', range) : '',
          heart ? texts.eartRateAsForecast(used ? texts.belowH : 'H') : '',
        ]
          .filter(Boolean)
          .join(' ')
      }}
    </p>
    <p v-for="line in forecast.notes" :key="line" class="faint small">{{ line }}</p>
    <dl>
      <dt>{{ texts.loadByEffortMin }} <Explained term="load" /></dt>
      <dd class="mono">{{ about(forecast.load.sessionEffort) }}</dd>
      <dt>{{ texts.loadByHeartRate }}</dt>
      <dd class="mono">{{ about(forecast.load.heartRateImpulse) }}</dd>
    </dl>
    <p class="faint small">
      {{ texts.twoWaysToEstimate }}
    </p>
    <details v-if="forecast.steps.length > 0" @toggle="isTable = ($event.target as HTMLDetailsElement).open">
      <summary>{{ texts.asATable }}</summary>
      <table v-if="isTable" class="ruled" data-test="forecast-table">
        <thead>
          <tr>
            <th>{{ texts.stepRound }}</th>
            <th class="number">{{ texts.ends }}</th>
            <th class="number">{{ texts.used }}</th>
            <th class="number">{{ texts.bpm }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(step, index) in forecast.steps.slice(0, 200)" :key="index">
            <td>{{ nameOf(step.path, step.round) }}</td>
            <td class="number">{{ formatTime(Math.round(step.endsAt)) }}</td>
            <td class="number">{{ step.used === null ? '–' : percent(step.used) }}</td>
            <td class="number">{{ step.bpm === null ? '–' : Math.round(step.bpm) }}</td>
          </tr>
        </tbody>
      </table>
    </details>
  </section>
</template>

<style scoped>
.verdict {
  margin: 2px 0 4px;
}
.proposal {
  margin: 0 0 2px;
}
.chart {
  width: 100%;
}
section .small {
  margin-bottom: 6px;
}
dl {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 4px 10px;
  margin: 4px 0;
}
dd {
  margin: 0;
  text-align: right;
}
details {
  font-size: 0.88rem;
}
table {
  width: 100%;
}
</style>
