<script setup lang="ts">
import type { SuggestionCode } from '~~/core/advise/suggestion'
import type { Edit } from '~~/core/edit/edit'

const emit = defineEmits<{ show: [line: number]; edit: [edits: Edit[]] }>()
const desk = useDeskReadingStore()
const shelf = useDeskShelfStore()
const shownAtMost = 12
const suggestions = computedAlike(() =>
  desk.suggestions
    .filter(suggestion => !shelf.dismissed.includes(suggestion.key))
    .slice(0, shownAtMost)
    .map(suggestion => ({ ...suggestion, line: suggestion.path === null ? null : desk.lineOf(suggestion.path) })),
)
const dismissedCount = computed(() => desk.suggestions.filter(suggestion => shelf.dismissed.includes(suggestion.key)).length)
const suggestionTitles: Record<SuggestionCode, string> = {
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
  <section v-if="suggestions.length > 0 || dismissedCount > 0" aria-label="Suggestions">
    <h2 class="next">Suggestions</h2>
    <div v-for="suggestion in suggestions" :key="suggestion.key + suggestion.path" class="said note" data-test="suggestion">
      <button v-if="suggestion.line !== null" class="plain where" @click="emit('show', suggestion.line)">Line {{ suggestion.line }}</button>
      {{ ' ' }}<strong>{{ suggestionTitles[suggestion.code] }}</strong
      >: {{ suggestion.message }}
      <template v-for="fix in suggestion.fixes" :key="fix.label"
        >{{ ' ' }}<button class="plain" @click="emit('edit', fix.edits)">{{ fix.label }}</button></template
      >
      {{ ' '
      }}<button
        class="plain where"
        :aria-label="`Dismiss: ${suggestionTitles[suggestion.code]}`"
        @click="shelf.dismiss([...shelf.dismissed, suggestion.key])">
        Dismiss
      </button>
      <p v-if="suggestion.code === 'beyond-shown'" class="faint small">
        Marks grow old. Ease when it hurts; a doctor or physiotherapist knows more.
      </p>
    </div>
    <p v-if="dismissedCount > 0" class="faint small">
      {{ dismissedCount }} dismissed. <button class="plain" @click="shelf.dismiss([])">Show again</button>
    </p>
  </section>
</template>
