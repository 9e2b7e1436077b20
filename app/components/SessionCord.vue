<script setup lang="ts">
import type { Cord } from '~~/core/reckon/cord'
import { sayCord } from '~~/core/words/cord'
import { bareHeight, cordAt, cordHeight, drawCord } from '~/cord/draw'

/** A session where there is no room for its sheet: a taut line from start to end, its work as knots; nothing where none is drawn. */
const props = withDefaults(defineProps<{ cord: Cord | null; width?: number }>(), { width: 220 })
const nothing: Cord = { parts: [], brackets: [] }
const cord = computed(() => props.cord ?? nothing)
const drawn = computed(() => drawCord(cord.value, props.width - 2))
const words = computed(() => sayCord(cord.value))
const threadAt = cordAt + 7.5
const strands = computed(() => [
  ...drawn.value.bare.map(part => ({ ...part, look: 'bare', y: cordAt })),
  ...drawn.value.lines.map(part => ({ ...part, look: 'easy', y: cordAt })),
  ...drawn.value.threads.map(part => ({ ...part, look: 'thread', y: threadAt })),
])
const knot = { height: 10, most: 5 }
</script>

<template>
  <svg
    v-if="cord.parts.length > 0"
    class="cord"
    role="img"
    :aria-label="words"
    :viewBox="`-1 0 ${width} ${drawn.brackets.length > 0 ? cordHeight : bareHeight}`"
    :style="{ maxWidth: `${width}px` }"
    preserveAspectRatio="xMidYMid meet">
    <title>{{ words }}</title>
    <line
      v-for="(part, index) in strands"
      :key="`s${index}`"
      :class="part.look"
      :x1="part.x"
      :x2="part.x + part.width"
      :y1="part.y"
      :y2="part.y" />
    <path
      v-for="(x, index) in drawn.frays"
      :key="`f${index}`"
      class="fray"
      :d="`M${x - 5} ${cordAt}l5 -4M${x - 5} ${cordAt}h6M${x - 5} ${cordAt}l5 4`" />
    <g v-for="(part, index) in drawn.knots" :key="`k${index}`">
      <rect
        class="knot"
        :class="part.shade"
        :x="part.x"
        :y="cordAt - knot.height / 2"
        :width="part.width"
        :height="knot.height"
        :rx="Math.min(part.width / 2, knot.most)" />
      <path
        v-if="(part.shade === 'critical' || part.shade === 'most') && part.width > 4"
        class="hatch"
        :d="`M${part.x + part.width / 2 - 2} ${cordAt + 3}l4 -6`" />
    </g>
    <circle v-for="(x, index) in drawn.rings" :key="`r${index}`" class="ring" :cx="x" :cy="cordAt" r="3" />
    <g v-for="(bracket, index) in drawn.brackets" :key="`h${index}`">
      <path class="bracket" :d="`M${bracket.x + 1} ${bracket.y - 2}v2h${bracket.width - 2}v-2`" />
      <text v-if="bracket.width > 12" class="count" :x="bracket.x + bracket.width / 2" :y="bracket.y + 5" text-anchor="middle">
        {{ bracket.words }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
.cord {
  display: block;
  width: 100%;
  height: auto;
  overflow: visible;
}
.bare {
  stroke: var(--slip);
  stroke-width: 0.9;
}
.easy {
  stroke: var(--clay-2);
  stroke-width: 2.4;
}
.fray {
  stroke: var(--slip);
  stroke-width: 0.8;
  fill: none;
}
.knot {
  stroke: var(--slip);
  stroke-width: 0.6;
}
.knot.unknown {
  fill: var(--paper);
}
.knot.steady {
  fill: var(--clay-2);
}
.knot.hard {
  fill: var(--clay-3);
}
.knot.critical {
  fill: var(--clay-4);
}
.knot.most {
  fill: var(--clay-5);
}
.hatch {
  stroke: var(--paper);
  stroke-width: 1;
}
.thread {
  stroke: var(--verdigris);
  stroke-width: 2;
}
.ring {
  fill: var(--paper);
  stroke: var(--slip);
  stroke-width: 1.2;
}
.bracket {
  fill: none;
  stroke: var(--slip);
  stroke-width: 0.7;
}
.count {
  fill: var(--slip);
  font: 600 9px var(--read);
  paint-order: stroke;
  stroke: var(--cream);
  stroke-width: 3px;
}
</style>
