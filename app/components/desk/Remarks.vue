<script setup lang="ts">
import type { Remark } from '~~/core/script/remark'
import { listedRemarks } from '~/desk/remarks'

defineProps<{ isEmpty: boolean }>()
const emit = defineEmits<{ fix: [remark: Remark, replacement: string]; show: [line: number] }>()
const desk = useDeskReadingStore()
const remarks = computedAlike(() => listedRemarks(desk.reading.remarks))

const titles: Record<string, string> = {
  'between': 'In between',
  'comma-recovery': 'In every round?',
  'set-recovery': 'Work or recovery?',
  'unit-doubtful': 'Which unit?',
  'pool-length': 'How long is the pool?',
  'same-day': 'As that day',
  'count-range': 'How often?',
  'bare-number': 'No unit said',
  'left-over': 'Kept as a note',
  'own-word': 'Your word',
  'label': "A part's name",
  'titled': 'Title',
  'place': 'Place',
  'legs': 'Several sports',
  'day': 'Day',
  'day-off': 'Day off',
  'date': 'Which day?',
  'joined': 'For the step before',
  'target-joined': 'For the step before',
  'effort-name': 'Effort',
  'short-pair': 'Seconds?',
  'own-time': 'Pace or time?',
  'percent-of': 'Percent of what?',
  'within-or-after': 'Within or after?',
  'hours-or-minutes': 'Hours or minutes?',
  'spelling': 'Read as',
  'open-end': 'No length said',
  'unreadable': 'Not read',
  'unread': 'Not read',
  'sport': 'Sport',
  'named-sport': 'Sport',
  'pace-unit': 'Pace',
  'zone-measure': 'Zone',
  'chatter': 'Kept as a note',
  'doubt-open': 'Still in doubt',
  'offset-unit': 'Offset',
  'effort-word': 'How hard?',
  'computed': 'Computed',
  'thousands': 'Thousands?',
  'session-ceiling': 'Ceiling',
  'header': 'Header',
  'empty-block': 'Nothing to repeat',
  'empty-leg': 'Nothing in the leg',
  'steps': 'Too many steps',
  'past-limit': 'Too many steps',
  'nesting': 'Too deep',
  'duration': 'Too long',
  'title': 'Title',
  'too-long': 'Too much text',
  'step': 'Not sound',
  'block': 'Not sound',
  'leg': 'Leg',
}
const isLong = (remark: Remark) => remark.readAs.includes('\n')
</script>

<template>
  <section aria-label="Remarks">
    <h2 class="next">Remarks</h2>
    <AfterRoom><LazyWordsLesson /></AfterRoom>
    <p v-if="remarks.length === 0" class="faint">
      {{ isEmpty ? 'What is doubtful or cannot be read is said here.' : 'None: it reads as it stands.' }}
    </p>
    <div v-for="({ remark, isKeyed }, index) in remarks" :key="index" class="said" :class="remark.level">
      <el-button link type="primary" class="where" @click="emit('show', remark.line)">Line {{ remark.line }}</el-button>
      {{ ' ' }}<strong>{{ titles[remark.code] ?? remark.code }}</strong>
      <span v-if="remark.said && !isLong(remark) && !['spelling', 'sport'].includes(remark.code)" class="mono"
        >: {{ remark.said.trim() }}</span
      >
      <span v-if="!isLong(remark)">
        → <span :class="{ mono: remark.code === 'spelling' }">{{ remark.readAs.trim() }}</span></span
      >
      <span v-else> as {{ remark.readAs.split('\n').length }} rows</span>
      <template v-for="fix in remark.fixes" :key="fix.label">
        {{ ' ' }}<el-button link type="primary" @click="emit('fix', remark, fix.replacement)">{{ fix.label }}</el-button>
      </template>
      <AfterRoom><LazyWordsDefine v-if="remark.code === 'left-over'" :said="remark.said" /></AfterRoom>
      <kbd v-if="isKeyed">Alt ⏎</kbd>
    </div>
  </section>
</template>

<style scoped>
kbd {
  font: 11px var(--mono);
  border: 1px solid var(--rule);
  border-radius: 2px;
  padding: 0 4px;
  margin-left: 4px;
  white-space: nowrap;
}
</style>
