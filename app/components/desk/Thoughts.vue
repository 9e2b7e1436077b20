<script setup lang="ts">
import type { AdviceCode } from '~~/core/advise/suggestion'
import type { Edit } from '~~/core/edit/edit'

const emit = defineEmits<{ show: [line: number]; edit: [edits: Edit[]] }>()
const desk = useDeskStore()
const shownAtMost = 12
const thoughts = computedAlike(() =>
  desk.advice
    .filter(thought => !desk.waved.includes(thought.key))
    .slice(0, shownAtMost)
    .map(thought => ({ ...thought, line: thought.path === null ? null : desk.lineOf(thought.path) })),
)
const wavedCount = computed(() => desk.advice.filter(thought => desk.waved.includes(thought.key)).length)
const thoughtTitles: Record<AdviceCode, string> = {
  'needless-last-recovery': 'Last recovery',
  'two-recoveries': 'Two in a row',
  'narrow-band': 'Narrow band',
  'beyond-shown': 'Beyond your marks',
  'implausible': 'Meant so?',
  'mixed-units': 'Mixed units',
  'press-in-block': 'Waits for a press',
  'no-easy-after': 'Nothing easy after',
  'no-warm-up': 'No warm-up',
  'over-time': 'Too long for today',
}
</script>

<template>
  <section v-if="thoughts.length > 0 || wavedCount > 0" aria-label="Worth a thought">
    <h2 class="next">Worth a thought</h2>
    <div v-for="thought in thoughts" :key="thought.key + thought.path" class="said note" data-test="thought">
      <button v-if="thought.line !== null" class="plain where" @click="emit('show', thought.line)">Line {{ thought.line }}</button>
      {{ ' ' }}<strong>{{ thoughtTitles[thought.code] }}</strong
      >: {{ thought.said }}
      <template v-for="fix in thought.fixes" :key="fix.label"
        >{{ ' ' }}<button class="plain" @click="emit('edit', fix.edits)">{{ fix.label }}</button></template
      >
      {{ ' '
      }}<button
        class="plain where"
        :aria-label="`Wave off: ${thoughtTitles[thought.code]}`"
        @click="desk.waveOff([...desk.waved, thought.key])">
        not here
      </button>
      <p v-if="thought.code === 'beyond-shown'" class="faint small">
        Marks grow old. Ease when it hurts; a doctor or physiotherapist knows more.
      </p>
    </div>
    <p v-if="wavedCount > 0" class="faint small">
      {{ wavedCount }} waved off. <button class="plain" @click="desk.waveOff([])">Show again</button>
    </p>
  </section>
</template>
