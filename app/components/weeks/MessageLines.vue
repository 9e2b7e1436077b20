<script setup lang="ts">
import { isDate } from '~~/core/quantity/day'
import { withFix } from '~~/core/script/fix'
import type { AccountedLine } from '~~/core/script/reader/account'
import { accountForLines } from '~~/core/script/reader/account'
import type { MessageHints } from '~~/core/script/reader/options'
import type { Remark } from '~~/core/script/remark'
import type { ReadResult } from '~~/core/script/reader/read-script'
import { weeksMessageLines as texts } from '~/texts/en'

const props = defineProps<{ reading: ReadResult; hints: MessageHints }>()
/** The message; an answered question is written into it. */
const text = defineModel<string>({ required: true })

const dates = useDates()
const own = useOwnWordsStore()
const lines = computed(() => accountForLines(text.value, props.reading))
const questionsOf = (line: number) =>
  props.reading.remarks.filter(remark => remark.line === line && remark.level !== 'note' && remark.code !== 'doubt-open')
const notKept = computed(() => lines.value.filter(line => line.outcome === 'not-kept').length)

function answer(remark: Remark, replacement: string) {
  own.answered(text.value, remark, replacement, props.hints)
  text.value = withFix(text.value, remark, replacement)
}
function dayOf(line: AccountedLine): string {
  const day = line.session === undefined ? undefined : props.reading.sessions[line.session]?.day
  return isDate(day) ? dates.day(day) : texts.theShelf
}
function outcomeOf(line: AccountedLine): string {
  switch (line.outcome) {
    case 'session':
      return line.leftOver.length === 0 ? dayOf(line) : texts.asANote(dayOf(line), line.leftOver.join(', '))
    case 'rest-day':
      return texts.aRestDay
    case 'heading':
      return texts.headsWhatFollows
    case 'signs':
      return texts.noWordsOfIts
    case 'note':
      return texts.noteOf(dayOf(line))
    case 'unread':
      return texts.notReadKeptOn(dayOf(line))
    case 'not-kept':
      return texts.notKeptNoSession
  }
}
</script>

<template>
  <section v-if="lines.length > 0" class="lines" :aria-label="texts.whatBecomesOfEach">
    <h2>
      {{ texts.eachLine }}
      <span class="faint">{{ notKept === 0 ? texts.noneIsLost : texts.notKept(notKept, notKept === 1 ? texts.is : texts.are) }}</span>
    </h2>
    <LazyWordsLesson />
    <ol>
      <li v-for="line in lines" :key="line.line" :class="line.outcome" data-test="message-line">
        <span class="mono words">{{ line.text }}</span>
        <span class="outcome">{{ outcomeOf(line) }}</span>
        <p v-for="remark in questionsOf(line.line)" :key="`${remark.column}.${remark.code}`" class="said" :class="remark.level">
          <span class="mono">{{ remark.said }}</span> → {{ remark.readAs }}
          <el-button
            v-for="fix in remark.fixes"
            :key="fix.label"
            link
            type="primary"
            :aria-label="texts.line(line.line, fix.label)"
            @click="answer(remark, fix.replacement)">
            {{ fix.label }}
          </el-button>
        </p>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.lines {
  grid-column: 1 / -1;
}
h2 {
  font-size: 1rem;
  margin: 6px 0 2px;
}
ol {
  list-style: none;
  padding: 0;
  margin: 0;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 0 22px;
  padding: 3px 0;
  border-top: 1px solid var(--rule);
}
.words {
  font-size: 0.875rem;
  overflow-wrap: anywhere;
}
.outcome,
.rest-day .words,
.heading .words,
.signs .words,
.note .words {
  color: var(--faint);
}
.not-kept .outcome,
.unread .outcome {
  color: var(--slip);
  text-decoration: underline wavy var(--ochre-line) 1.5px;
  text-underline-offset: 4px;
}
.said {
  grid-column: 1 / -1;
  margin: 2px 0 4px;
}
.said button {
  margin-left: 10px;
}
@media (max-width: 760px) {
  li {
    grid-template-columns: 1fr;
  }
}
</style>
