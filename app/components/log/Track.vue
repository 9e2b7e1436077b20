<script setup lang="ts">
import { sayDistance } from '~~/core/quantity/distance'
import type { Recording } from '~~/core/record/recording'
import type { ScoredStep } from '~~/core/record/score'
import { drawTrack } from '~/log/track-drawing'
import { logTrack as texts } from '~/texts/en'

/** The way as a line, north up, nothing below it; what was work is drawn heavier. */
const props = defineProps<{ recording: Recording; work: ScoredStep[] }>()
const drawing = computed(() => drawTrack(props.recording, props.work))
</script>

<template>
  <figure v-if="drawing" class="track" data-test="track">
    <svg
      :viewBox="`0 0 ${Math.max(200, drawing.width)} ${drawing.height + 26}`"
      preserveAspectRatio="xMinYMin"
      role="img"
      :aria-label="texts.theWay">
      <path class="whole" :d="drawing.whole" />
      <path v-for="part in drawing.work" :key="part" class="work" :d="part" />
      <rect class="start" :x="drawing.start.x - 4" :y="drawing.start.y - 4" width="8" height="8" />
      <path class="scale" :d="`M14 ${drawing.height + 8}v6h${drawing.scale.pixels}v-6`" />
      <text :x="drawing.scale.pixels + 22" :y="drawing.height + 16">
        {{ sayDistance(drawing.scale.metres, drawing.scale.metres < 1000 ? 'm' : 'km') }}
      </text>
    </svg>
    <figcaption class="faint">{{ work.length > 0 ? texts.heavyIsWork : texts.northIsUp }}</figcaption>
  </figure>
</template>

<style scoped>
.track {
  margin: 14px 0;
  max-width: 560px;
}
svg {
  width: 100%;
  max-height: 340px;
}
path {
  fill: none;
  stroke-linejoin: round;
}
.whole {
  stroke: var(--slip);
  stroke-width: 1.5;
}
.work {
  stroke: var(--clay-4);
  stroke-width: 4;
  opacity: 0.75;
}
.start {
  fill: var(--verdigris);
}
.scale {
  stroke: var(--faint);
  stroke-width: 1;
}
text {
  fill: var(--faint);
  font-size: 13px;
}
figcaption {
  font-size: 0.88rem;
}
</style>
