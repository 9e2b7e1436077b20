<script setup lang="ts">
import type { Face } from '~~/core/wrist/engine/face'
import { faceFaceGlass as texts } from '~/texts/en'

/** What a wrist shows of a program that is going: the same on the stand-in and on the phone. */
defineProps<{ face: Face; look: boolean; said: string | null }>()
const sideWords = { 'inside': texts.inBand, 'too-easy': texts.belowBand, 'too-hard': texts.aboveBand } as const
</script>

<template>
  <p class="where">{{ face.where || face.title }}</p>
  <template v-if="!look">
    <p class="figure" :style="{ '--signs': face.figure.length }" data-test="figure">{{ face.figure }}</p>
    <p class="is">{{ face.phase === 'paused' ? texts.paused : face.figureIs }}</p>
    <p v-if="face.ceilingCrossed" class="ease" data-test="ease">
      {{ texts.ease }} <small>{{ texts.bpm(face.heartRate ?? '–') }}</small>
    </p>
    <template v-else-if="face.target">
      <div class="line" aria-hidden="true">
        <span class="band" /><span
          v-if="face.target.at !== null"
          class="at"
          :class="face.target.side ?? 'settling'"
          :style="{ left: `${face.target.at * 100}%` }" />
      </div>
      <p class="ends">
        <span>{{ face.target.easiest ?? '…' }}</span><span>{{ face.target.hardest ?? '…' }}</span>
      </p>
      <p class="value" :class="face.target.side ?? 'settling'">
        {{ face.target.value ?? '–' }} <small>{{ face.target.unit }}</small>
      </p>
      <p class="is">{{ face.silent ?? (face.target.side ? sideWords[face.target.side] : texts.settling) }}</p>
    </template>
    <p v-else class="free">{{ face.silent ?? texts.noTarget }}</p>
  </template>
  <dl v-else class="look" data-test="look">
    <dt>{{ texts.time }}</dt>
    <dd>{{ face.total.time }}</dd>
    <dt>{{ texts.distance }}</dt>
    <dd>{{ face.total.distance }}</dd>
    <dt>{{ texts.heart }}</dt>
    <dd>{{ face.heartRate ?? '–' }}</dd>
    <template v-if="face.target"
      ><dt>{{ texts.target }}</dt>
      <dd>{{ face.target.words }}</dd></template
    >
    <template v-if="face.also"
      ><dt>{{ texts.and }}</dt>
      <dd>{{ face.also }}</dd></template
    >
  </dl>
  <p class="next" aria-live="polite">{{ said ?? face.next }}</p>
</template>

<style scoped>
p {
  margin: 0;
}
.where {
  color: #e2b48f;
  font-size: 1em;
  min-height: 1.5em;
  max-height: 3.75em;
  overflow: hidden;
  line-height: 1.25;
}
/* As large as its signs leave room for, on any glass. */
.figure {
  font: 700 5.1em/1.05 var(--read);
  font-size: min(5.1em, calc(150cqi / var(--signs)));
  font-variant-numeric: tabular-nums;
  white-space: nowrap;
}
.is {
  color: #c9bca9;
  font-size: 0.95em;
}
.line {
  position: relative;
  height: 26px;
  margin: 8px 4px 0;
}
.line::before {
  content: '';
  position: absolute;
  left: 0;
  right: 0;
  top: 12px;
  border-top: 2px solid #5a5148;
}
.band {
  position: absolute;
  left: 25%;
  width: 50%;
  top: 2px;
  height: 22px;
  border: 3px solid #e2b48f;
  border-radius: 12px;
}
.at {
  position: absolute;
  top: 5px;
  width: 16px;
  height: 16px;
  margin-left: -8px;
  border-radius: 50%;
  background: #6cc4bb;
}
.at.too-easy,
.at.too-hard {
  background: #f0807c;
  border-radius: 2px;
}
.at.settling {
  background: #c9bca9;
}
.ends {
  display: flex;
  justify-content: space-around;
  color: #e2b48f;
  font-size: 1.1em;
  padding: 0 12px;
  gap: 10px;
  white-space: nowrap;
}
.value {
  font: 700 2.5em/1.1 var(--read);
  color: #6cc4bb;
  font-variant-numeric: tabular-nums;
  white-space: nowrap;
}
.value small {
  font-size: 0.4em;
  font-weight: 400;
  color: #c9bca9;
}
.value.too-easy,
.value.too-hard {
  color: #f0807c;
}
.value.settling {
  color: #f2e9dc;
}
.free {
  color: #c9bca9;
  margin: auto 0;
  font-size: 1.2em;
}
.ease {
  font: 700 3em/1.3 var(--read);
  color: #f0807c;
  margin: auto 0;
}
.ease small {
  display: block;
  font-size: 0.4em;
  font-weight: 400;
  color: #f2e9dc;
}
.next {
  margin-top: auto;
  max-height: 3.75em;
  overflow: hidden;
  color: #c9bca9;
  font-size: 1.02em;
  line-height: 1.25;
}
.look {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 4px 14px;
  text-align: left;
  margin: 14px 0;
  font-size: 1.15em;
}
.look dt {
  color: #c9bca9;
}
.look dd {
  margin: 0;
  font-variant-numeric: tabular-nums;
}
</style>
