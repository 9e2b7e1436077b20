<script setup lang="ts">
import { paceUnitWords, saySpeed } from '~~/core/athlete/say-target'
import { sayDistance } from '~~/core/quantity/distance'
import { formatTime } from '~~/core/quantity/time'
import type { ScoredStep } from '~~/core/record/score'
import type { LoggedSteps } from '~/log/logged-steps'
import { notchesOf } from '~/log/notch'
import { logBeside as texts } from '~/texts/en'

/** The steps of the plan, each with what was done of it; its band with the mean as a notch. */
const props = defineProps<{ scored: ScoredStep[]; said: LoggedSteps }>()
const chosen = defineModel<number | null>({ required: true })
const notches = computed(() => notchesOf(props.scored, props.said.steps))
const inUnit = computed(() => (props.said.byPower ? 'W' : paceUnitWords[props.said.reading]))
const meanOf = ({ mean }: ScoredStep) => {
  if (props.said.byPower) return mean.power === null ? '–' : String(Math.round(mean.power))
  return mean.speed ? saySpeed(mean.speed, props.said.reading) : '–'
}
const choose = (index: number) => (chosen.value = chosen.value === index ? null : index)
const width = 120
</script>

<template>
  <div class="scroll-x">
    <table class="ruled listed" data-test="beside">
      <thead>
        <tr>
          <th>{{ texts.planned }}</th>
          <th>{{ texts.round }}</th>
          <th>{{ texts.done }}</th>
          <th class="number">{{ texts.time }}</th>
          <th class="number">{{ texts.distance }}</th>
          <th class="number">{{ inUnit }}</th>
          <th class="band">{{ texts.band }}</th>
          <th class="number">{{ texts.bpm }}</th>
          <th class="number">{{ texts.held }} <Explained term="held" /></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(step, index) in scored" :key="index" :class="{ chosen: chosen === index }">
          <td class="mono words lead">
            <el-button
              v-if="step.startsAt !== null"
              link
              class="mono row"
              :aria-pressed="chosen === index"
              :title="texts.lookAtIt"
              data-test="choose-step"
              @click="choose(index)"
              >{{ said.wordsOf(step) }}</el-button><template v-else>{{ said.wordsOf(step) }}</template>
          </td>
          <td class="mono faint" :data-label="texts.round">{{ said.roundOf(step) }}</td>
          <td>
            <span :class="step.status === 'done' ? (step.reason ? 'doubt' : 'good') : 'bad'">{{ said.statusOf(step) }}</span><template
              v-if="step.reason"
              >, {{ said.reasonOf(step) }}</template
            >
          </td>
          <td class="number" :data-label="texts.time">{{ step.seconds === null ? '–' : formatTime(Math.round(step.seconds)) }}</td>
          <td class="number" :data-label="texts.distance">
            {{ step.metres === null ? '–' : sayDistance(step.metres, said.unit === 'km' ? 'm' : said.unit) }}
          </td>
          <td class="number" :data-label="inUnit">{{ meanOf(step) }}</td>
          <td class="band">
            <svg v-if="notches[index]" :viewBox="`0 0 ${width} 16`" :width="width" height="16" aria-hidden="true">
              <line
                class="taut"
                :class="notches[index].isOpen"
                :x1="notches[index].from * width"
                :x2="notches[index].to * width"
                y1="8"
                y2="8" />
              <path
                v-if="notches[index].at !== null"
                class="notch"
                :class="{ off: step.reason }"
                :d="`M${notches[index].at * width} 2v12`" />
            </svg>
          </td>
          <td class="number" :data-label="texts.bpm">{{ step.mean.heartRate === null ? '–' : Math.round(step.mean.heartRate) }}</td>
          <td class="number" :data-label="texts.held" :class="{ bad: step.held !== null && step.held < 0.5 }">
            {{ step.held === null ? '' : `${Math.round(step.held * 100)} %` }}
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.words {
  font-size: 0.875rem;
  min-width: 190px;
}
.row {
  white-space: normal;
  text-align: left;
  height: auto;
  line-height: 1.4;
  color: inherit;
  font-size: inherit;
}
.chosen {
  background: var(--lit);
}
.band {
  min-width: 124px;
}
.band svg {
  display: block;
}
.taut {
  stroke: var(--clay-3);
  stroke-width: 5;
  opacity: 0.45;
}
.taut.easier,
.taut.harder {
  stroke-dasharray: 5 3;
}
.notch {
  stroke: var(--slip);
  stroke-width: 2.5;
}
.notch.off {
  stroke: var(--cinnabar);
}
@media (max-width: 700px) {
  .band {
    display: none;
  }
}
@media print {
  .row {
    display: inline-flex !important;
    text-decoration: none;
  }
}
</style>
