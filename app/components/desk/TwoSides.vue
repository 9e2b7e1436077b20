<script setup lang="ts">
import { diffLines } from 'diff'
import type { OtherSide } from '~/desk/keeping'
import { deskTwoSides as texts } from '~/texts/en'

/** Two wordings of one session, each with what the other lacks. */
const props = defineProps<{ mine: string; theirs: OtherSide }>()
const emit = defineEmits<{ choose: [side: 'mine' | 'theirs'] }>()
const dates = useDates()
const isLeft = computed(() => props.theirs.tab !== undefined)
const parts = computed(() => diffLines(props.mine, props.theirs.script))
const when = computed(() => (props.theirs.updatedAt ? dates.momentOf(props.theirs.updatedAt, {}) : ''))
const count = (of: 'added' | 'removed') => parts.value.reduce((sum, part) => sum + (part[of] ? part.count : 0), 0)
const sayLines = (lines: number) => (lines === 1 ? texts.oneLine : texts.lines(lines))
/** The words of a side, those that the other lacks marked. */
const wordsOf = (only: 'added' | 'removed', hidden: 'added' | 'removed') =>
  parts.value.filter(part => !part[hidden]).map(part => ({ words: part.value, isOnly: part[only] }))
const sides = computed(() => [
  { side: 'mine' as const, name: 'Here', take: texts.keepThisOne, only: 'removed' as const, hidden: 'added' as const, at: '' },
  {
    side: 'theirs' as const,
    name: isLeft.value ? texts.theOtherTab : 'There',
    take: texts.keepThatOne,
    only: 'added' as const,
    hidden: 'removed' as const,
    at: when.value,
  },
])
</script>

<template>
  <section class="sides" role="alertdialog" :aria-label="texts.bothDiffer">
    <p>
      <strong>{{ isLeft ? texts.anotherTabLeftOther : texts.thisSessionWasChanged }}</strong>
      {{ isLeft ? texts.theSideYouDo : texts.nothingIsLostThe }}
    </p>
    <div class="pair">
      <div v-for="{ side, name, take, only, hidden, at } in sides" :key="side">
        <h2>
          {{ name }}
          <span class="faint"
            >{{ at ? `${at}, ` : ''
            }}{{ count(only) === 0 ? texts.nothingTheOtherLacks : texts.theOtherLacks(sayLines(count(only))) }}</span
          >
        </h2>
        <pre class="mono"><component
          :is="part.isOnly ? 'mark' : 'span'"
          v-for="(part, index) in wordsOf(only, hidden)"
          :key="index">{{ part.words }}</component></pre>
        <el-button :type="side === 'mine' ? 'primary' : 'default'" @click="emit('choose', side)">{{ take }}</el-button>
      </div>
    </div>
  </section>
</template>

<style scoped>
.sides {
  border-top: 2px solid var(--cinnabar);
  padding: 10px 22px 14px 0;
  max-height: 45%;
  overflow: auto;
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 18px;
}
pre {
  font-size: 0.8125rem;
  white-space: pre-wrap;
  max-height: 160px;
  overflow: auto;
  border: 1px solid var(--rule);
  padding: 8px;
  margin: 6px 0;
}
h2 span {
  font: 400 0.86rem var(--read);
}
mark {
  background: var(--lit, #fbebd3);
  color: inherit;
}
@media (max-width: 700px) {
  .pair {
    grid-template-columns: 1fr;
  }
}
</style>
