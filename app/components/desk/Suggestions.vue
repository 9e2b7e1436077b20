<script setup lang="ts">
import { advise } from '~~/core/advise/advise'
import type { SuggestionCode } from '~~/core/advise/suggestion'
import type { Edit } from '~~/core/edit/edit'
import { deskSuggestions as texts } from '~/texts/en'

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
  'needless-last-recovery': texts.lastRecovery,
  'two-recoveries': texts.twoInARow,
  'narrow-band': texts.narrowBand,
  'beyond-shown': texts.beyondYourMarks,
  'implausible': texts.meantSo,
  'mixed-units': texts.mixedUnits,
  'press-in-block': texts.waitsForAPress,
  'no-easy-after': texts.nothingEasyAfter,
  'no-warm-up': texts.noWarmUp,
  'over-time': texts.tooLongForToday,
}
</script>

<template>
  <section v-if="suggestions.length > 0 || dismissedCount > 0" :aria-label="texts.suggestions">
    <div class="headed next">
      <h2>{{ texts.suggestions }}</h2>
      <Explained term="suggestion" />
    </div>
    <div v-for="suggestion in suggestions" :key="suggestion.key + suggestion.path" class="said note" data-test="suggestion">
      <el-button v-if="suggestion.line !== null" link type="primary" class="where" @click="emit('show', suggestion.line)">{{
        texts.line(suggestion.line)
      }}</el-button>
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
        :aria-label="texts.dismiss(suggestionTitles[suggestion.code])"
        @click="shelf.dismiss([...shelf.dismissed, suggestion.key])">
        {{ texts.dismiss2 }}
      </el-button>
      <p v-if="suggestion.code === 'beyond-shown'" class="faint small">
        {{ texts.marksGrowOldEase }}
      </p>
    </div>
    <p v-if="dismissedCount > 0" class="faint small">
      {{ texts.dismissed(dismissedCount) }} <el-button link type="primary" @click="shelf.dismiss([])">{{ texts.showAgain }}</el-button>
    </p>
  </section>
</template>
