<script setup lang="ts">
import type { Knob } from '~~/core/wrist/engine/buttons'

/** Three buttons, pushed or held for a second; large enough for wet fingers. */
defineProps<{ words: Record<Knob, string> }>()
const emit = defineEmits<{ push: [knob: Knob, isHeld: boolean] }>()
const knobs: Knob[] = ['top', 'middle', 'bottom']
const heldAfter = 700
let pressedAt = 0
const down = () => (pressedAt = performance.now())
function up(knob: Knob) {
  const isHeld = pressedAt > 0 && performance.now() - pressedAt > heldAfter
  pressedAt = 0
  emit('push', knob, isHeld)
}
</script>

<template>
  <div class="buttons">
    <button
      v-for="knob in knobs"
      :key="knob"
      :class="{ go: knob === 'top' }"
      :data-test="knob"
      @pointerdown="down"
      @click="up(knob)"
      @contextmenu.prevent>
      {{ words[knob] }}
    </button>
  </div>
</template>

<style scoped>
.buttons {
  display: flex;
  flex-direction: column;
  justify-content: space-evenly;
}
button {
  min-width: 74px;
  min-height: 56px;
  border: 1px solid #40382f;
  border-radius: 0 10px 10px 0;
  background: #40382f;
  color: #f6efe4;
  cursor: pointer;
  touch-action: manipulation;
  user-select: none;
}
.go {
  background: #9c4320;
  font-weight: 700;
}
</style>
