<script setup lang="ts">
import { advise } from '~~/core/advise/advise'
import type { SuggestionCode } from '~~/core/advise/suggestion'
import type { Edit } from '~~/core/edit/edit'

const emit = defineEmits<{ show: [line: number]; edit: [edits: Edit[]] }>()
const desk = useDeskReadingStore()
const shelf = useDeskShelfStore()
const athletes = useAthleteStore()
const shownAtMost = 12
/** What the shape of the one session on the desk suggests. */
const all = computed(() => {
  const { session, reckoning, minutesToday } = desk
  if (!session || !reckoning || desk.reading.sessions.length !== 1) return []
  return advise(session, reckoning, athletes.standpoint, minutesToday === null ? {} : { secondsToday: minutesToday * 60 })
})
const suggestions = computedAlike(() =>
  all.value
    .filter(suggestion => !shelf.dismissed.includes(suggestion.key))
    .slice(0, shownAtMost)
    .map(suggestion => ({ ...suggestion, line: suggestion.path === null ? null : desk.lineOf(suggestion.path) })),
)
const dismissedCount = computed(() => all.value.filter(suggestion => shelf.dismissed.includes(suggestion.key)).length)
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
    <div class="headed next">
      <h2>Suggestions</h2>
      <Explained term="suggestion" />
    </div>
    <div v-for="suggestion in suggestions" :key="suggestion.key + suggestion.path" class="said note" data-test="suggestion">
      <el-button v-if="suggestion.line !== null" link type="primary" class="where" @click="emit('show', suggestion.line)"
        >Line {{ suggestion.line }}</el-button
      >
      {{ ' ' }}<strong>{{ suggestionTitles[suggestion.code] }}</strong
      >: {{ suggestion.message }}
      <template v-for="fix in suggestion.fixes" :key="fix.label"
        >{{ ' ' }}<el-button link type="primary" @click="emit('edit', fix.edits)">{{ fix.label }}</el-button></template
      >
      {{ ' '
      }}<el-button
        link
        type="primary"
        class="where"
        :aria-label="`Dismiss: ${suggestionTitles[suggestion.code]}`"
        @click="shelf.dismiss([...shelf.dismissed, suggestion.key])">
        Dismiss
      </el-button>
      <p v-if="suggestion.code === 'beyond-shown'" class="faint small">
        Marks grow old. Ease when it hurts; a doctor or physiotherapist knows more.
      </p>
    </div>
    <p v-if="dismissedCount > 0" class="faint small">
      {{ dismissedCount }} dismissed. <el-button link type="primary" @click="shelf.dismiss([])">Show again</el-button>
    </p>
  </section>
</template>
