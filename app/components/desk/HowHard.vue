<script setup lang="ts">
import type { Edit } from '~~/core/edit/edit'
import { itemAt } from '~~/core/session/item-path'
import type { SessionForecast } from '~~/core/forecast/forecast'
import type { Interval } from '~~/core/reckon/interval'
import { printEnd } from '~~/core/script/print'
import type { Session } from '~~/core/session/document'
import { formatTime } from '~~/core/quantity/time'
import { howHardChart } from '~/forecast/how-hard-chart'

const props = defineProps<{ forecast: SessionForecast; session: Session }>()
const emit = defineEmits<{ edit: [edits: Edit[]] }>()
const isTable = ref(false)

const percent = (share: number) => `${Math.round(share * 100)} %`
function about({ low, likely, high }: Interval): string {
  if (likely === null) return 'not known'
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
  return low === null ? '' : high === null ? `${percent(low)} or more` : `${percent(low)} to ${percent(high)}`
})
const levels = { easy: 'easy', steady: 'steady', hard: 'hard', race: 'as hard as a race', beyond: 'beyond' } as const

const option = computed(() => howHardChart(used.value, heart.value))
const height = computed(() => `${(used.value ? 94 : 0) + (heart.value ? 74 : 0)}px`)
</script>

<template>
  <section aria-label="How hard it is" data-test="how-hard">
    <div class="headed next">
      <h2>How hard it is</h2>
      <Explained term="share-used" />
    </div>
    <p v-if="forecast.message" class="verdict" :class="{ bad: isBeyond }" data-test="verdict">{{ forecast.message }}</p>
    <p v-for="proposal in forecast.proposals" :key="proposal.label" class="proposal">
      <el-button v-if="proposal.edits.length > 0" link type="primary" data-test="proposal-take" @click="emit('edit', proposal.edits)">
        {{ proposal.label }}
      </el-button>
      <span v-else>Better {{ proposal.label }}.</span>
      <span v-if="proposal.edits.length > 0" class="faint"> makes it {{ levels[proposal.level] }}, {{ percent(proposal.used) }}</span>
    </p>
    <div v-if="used || heart" class="chart" :style="{ height }">
      <LazyChartPicture :option="option" label="Share used and heart rate through the session; the table below says the same" />
    </div>
    <p v-if="used || heart" class="faint small">
      {{
        [
          used ? `${heart ? 'Above: t' : 'T'}he share used of what you have shown, 100 % is a race; likely ${range}. Our own model.` : '',
          heart ? `${used ? 'Below: h' : 'H'}eart rate as forecast, within 10 bpm.` : '',
        ]
          .filter(Boolean)
          .join(' ')
      }}
    </p>
    <p v-for="line in forecast.notes" :key="line" class="faint small">{{ line }}</p>
    <dl>
      <dt>Load by effort × min <Explained term="load" /></dt>
      <dd class="mono">{{ about(forecast.load.sessionEffort) }}</dd>
      <dt>Load by heart rate</dt>
      <dd class="mono">{{ about(forecast.load.heartRateImpulse) }}</dd>
    </dl>
    <p class="faint small">
      Two ways to estimate load; neither is truth. A forecast of what is usual: pain, dizziness, illness or heat outrank it. When in doubt,
      ease, and ask a doctor or physiotherapist.
    </p>
    <details v-if="forecast.steps.length > 0" @toggle="isTable = ($event.target as HTMLDetailsElement).open">
      <summary>As a table</summary>
      <table v-if="isTable" class="ruled" data-test="forecast-table">
        <thead>
          <tr>
            <th>step, round</th>
            <th class="number">ends</th>
            <th class="number">used</th>
            <th class="number">bpm</th>
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
