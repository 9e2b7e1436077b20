<script setup lang="ts">
import { formatTime } from '~~/core/quantity/time'
import { plotEdges } from '~/log/trace-chart'
import { logStartHandle as texts } from '~/texts/en'

/** The start of the chosen step over the chart: dragged, or moved by arrows a second at a time, and put there when it is let go. */
const props = defineProps<{ startsAt: number; seen: { from: number; to: number }; least: number; most: number; isBusy: boolean }>()
const emit = defineEmits<{ move: [startsAt: number] }>()
const at = ref(Math.round(props.startsAt))
watch(
  () => props.startsAt,
  startsAt => (at.value = Math.round(startsAt)),
)
const share = computed(() => (at.value - props.seen.from) / Math.max(1, props.seen.to - props.seen.from))
const plot = useTemplateRef<HTMLElement>('plot')
const isDragged = ref(false)
const put = (seconds: number) => (at.value = Math.round(Math.min(props.most, Math.max(props.least, seconds))))

function drag(event: PointerEvent): void {
  if (!isDragged.value || !plot.value) return
  const { left, width } = plot.value.getBoundingClientRect()
  put(props.seen.from + ((event.clientX - left) / width) * (props.seen.to - props.seen.from))
}
function begin(event: PointerEvent): void {
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
  isDragged.value = true
}
function letGo(): void {
  isDragged.value = false
  keep()
}
function keep(): void {
  if (at.value !== Math.round(props.startsAt)) emit('move', at.value)
}
const by: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1, PageDown: -10, PageUp: 10 }
function keys(event: KeyboardEvent): void {
  const step = by[event.key]
  if (step === undefined && event.key !== 'Enter') return
  event.preventDefault()
  event.stopPropagation()
  if (step === undefined) keep()
  else put(at.value + step)
}
</script>

<template>
  <div ref="plot" class="plot" :style="{ left: `${plotEdges.left}px`, right: `${plotEdges.right}px` }">
    <div
      v-if="share >= 0 && share <= 1"
      class="handle"
      role="slider"
      tabindex="0"
      :style="{ left: `${share * 100}%` }"
      :aria-label="texts.whereItBegan"
      :aria-valuemin="least"
      :aria-valuemax="most"
      :aria-valuenow="at"
      :aria-valuetext="formatTime(at)"
      :aria-disabled="isBusy"
      data-test="start-handle"
      @pointerdown.stop="begin"
      @pointermove.stop="drag"
      @pointerup.stop="letGo"
      @mousedown.stop
      @blur="keep"
      @keydown="keys">
      <span class="grip">{{ formatTime(at) }}</span>
    </div>
  </div>
</template>

<style scoped>
.plot {
  position: absolute;
  top: 26px;
  height: 168px;
  pointer-events: none;
}
.handle {
  position: absolute;
  top: 0;
  bottom: 0;
  width: 24px;
  margin-left: -12px;
  cursor: ew-resize;
  pointer-events: auto;
  touch-action: none;
}
.handle::before {
  content: '';
  position: absolute;
  left: 11px;
  top: 0;
  bottom: 0;
  width: 2px;
  background: var(--clay-5);
}
.grip {
  position: absolute;
  top: -22px;
  left: 50%;
  transform: translateX(-50%);
  background: var(--paper);
  border: 1px solid var(--clay-5);
  padding: 0 5px;
  font-size: 0.8rem;
  font-family: var(--mono);
  white-space: nowrap;
}
</style>
