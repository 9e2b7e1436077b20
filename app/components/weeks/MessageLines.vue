<script setup lang="ts">
import { isDate } from '~~/core/quantity/day'
import { withFix } from '~~/core/script/fix'
import type { AccountedLine } from '~~/core/script/reader/account'
import { accountForLines } from '~~/core/script/reader/account'
import type { MessageHints } from '~~/core/script/reader/options'
import type { Remark } from '~~/core/script/remark'
import type { ReadResult } from '~~/core/script/reader/read-script'

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
  return isDate(day) ? dates.day(day) : 'the shelf'
}
function outcomeOf(line: AccountedLine): string {
  switch (line.outcome) {
    case 'session':
      return line.leftOver.length === 0 ? dayOf(line) : `${dayOf(line)}; as a note: ${line.leftOver.join(', ')}`
    case 'rest-day':
      return 'a rest day'
    case 'heading':
      return 'heads what follows'
    case 'signs':
      return 'no words of its own'
    case 'note':
      return `note of ${dayOf(line)}`
    case 'unread':
      return `not read, kept on ${dayOf(line)} as it is`
    case 'not-kept':
      return 'not kept: no session on that day'
  }
}
</script>

<template>
  <section v-if="lines.length > 0" class="lines" aria-label="What becomes of each line">
    <h2>
      Each line
      <span class="faint">{{ notKept === 0 ? 'none is lost' : `${notKept} ${notKept === 1 ? 'is' : 'are'} not kept` }}</span>
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
            :aria-label="`Line ${line.line}: ${fix.label}`"
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
