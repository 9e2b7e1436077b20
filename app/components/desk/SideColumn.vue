<script setup lang="ts">
import type { Reckoning } from '~~/core/reckon/reckon'
import type { Remark } from '~~/core/script/remark'
import { sayDistance } from '~~/core/quantity/distance'
import { formatTime, sayDuration } from '~~/core/quantity/time'
import { keyedRemark } from '~/desk/fix'

const props = defineProps<{ reckoning: Reckoning | undefined, remarks: Remark[], known: number, hard: number, unit: 'km' | 'mi' | 'm' }>()
const emit = defineEmits<{ fix: [remark: Remark, replacement: string], show: [line: number] }>()

const steps = computed(() => props.reckoning?.flat.length ?? 0)
const likely = computed(() => props.reckoning?.seconds.likely ?? null)
const total = computed(() => {
  const seconds = likely.value
  if (seconds === null || steps.value === 0) return '–'
  const minutes = Math.round(seconds / 60)
  return minutes >= 60 ? `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}` : sayDuration(Math.round(seconds))
})
const habit = computed(() => likely.value === null ? 0 : Math.max(0, likely.value - props.known))
const distance = computed(() => {
  const metres = props.reckoning?.metres
  if (!metres || metres.likely === null) return 'not known'
  if (steps.value === 0) return '–'
  const unit = props.unit === 'm' ? 'km' : props.unit
  if (metres.low === null || metres.high === null || metres.high - metres.low < 50) return `about ${sayDistance(metres.likely, unit)}`
  return `${sayDistance(metres.low, unit).replace(/ \w+$/, '')}–${sayDistance(metres.high, unit)}`
})

const titles: Record<string, string> = {
  'between': 'In between', 'comma-recovery': 'In every round?', 'unit-doubtful': 'Which unit?', 'count-range': 'How often?', 'bare-number': 'No unit said',
  'spelling': 'Read as', 'open-end': 'No length said', 'unreadable': 'Not read', 'unread': 'Not read', 'sport': 'Sport', 'pace-unit': 'Pace', 'zone-measure': 'Zone',
  'chatter': 'Kept as a note', 'doubt-open': 'Still in doubt', 'offset-unit': 'Offset', 'effort-word': 'How hard?', 'computed': 'Computed', 'thousands': 'Thousands?', 'session-ceiling': 'Ceiling', 'header': 'Header',
  'empty-block': 'Nothing to repeat', 'empty-leg': 'Nothing in the leg', 'steps': 'Too many steps', 'nesting': 'Too deep', 'duration': 'Too long', 'title': 'Title', 'too-long': 'Too much text',
  'step': 'Not sound', 'block': 'Not sound', 'leg': 'Not sound',
}
const order = { error: 0, ask: 1, note: 2 }
const shown = computed(() => props.remarks
  .filter(remark => !(remark.code === 'bare-number' && props.remarks.some(other => other.line === remark.line && other.code === 'spelling')))
  .sort((a, b) => order[a.level] - order[b.level] || a.line - b.line).slice(0, 40))
const isKeyed = (remark: Remark) => keyedRemark(props.remarks.filter(other => other.line === remark.line)) === remark
const isLong = (remark: Remark) => remark.readAs.includes('\n')
const missing = computed(() => [...new Set((props.reckoning?.remarks ?? []).filter(remark => remark.code !== 'lap').map(remark => remark.said))].slice(0, 4))
</script>

<template>
  <aside class="side" aria-label="What it comes to">
    <h2>What it comes to</h2>
    <p class="total" data-test="total">{{ total }}</p>
    <p class="faint line" data-test="known">
      <template v-if="steps === 0">Write a row, or paste a coach's line.</template>
      <template v-else>{{ formatTime(Math.round(known)) }} known</template><template v-if="habit > 0">, {{ sayDuration(habit) }} by habit</template>
    </p>
    <dl>
      <dt>Distance</dt><dd class="mono">{{ distance }}</dd>
      <dt>Hard part</dt><dd class="mono">{{ formatTime(Math.round(hard)) }}</dd>
      <dt>Steps</dt><dd class="mono" data-test="steps">{{ steps }}<template v-if="reckoning && reckoning.open > 0">, {{ reckoning.open }} open</template></dd>
    </dl>
    <p v-for="line in missing" :key="line" class="said note">{{ line[0]?.toUpperCase() + line.slice(1) }}.</p>

    <h2 class="next">Remarks</h2>
    <p v-if="shown.length === 0" class="faint">{{ steps === 0 ? 'What is doubtful or cannot be read is said here.' : 'None: it reads as it stands.' }}</p>
    <div v-for="(remark, index) in shown" :key="index" class="said" :class="remark.level">
      <button class="plain where" @click="emit('show', remark.line)">Line {{ remark.line }}</button>
      {{ ' ' }}<strong>{{ titles[remark.code] ?? remark.code }}</strong>
      <span v-if="remark.said && !isLong(remark) && !['spelling', 'sport'].includes(remark.code)" class="mono">: {{ remark.said.trim() }}</span>
      <span v-if="!isLong(remark)"> → <span :class="{ mono: remark.code === 'spelling' }">{{ remark.readAs.trim() }}</span></span>
      <span v-else> as {{ remark.readAs.split('\n').length }} rows</span>
      <template v-for="fix in remark.fixes" :key="fix.label">
        {{ ' ' }}<button class="plain" @click="emit('fix', remark, fix.replacement)">{{ fix.label }}</button>
      </template>
      <kbd v-if="isKeyed(remark)">Alt ⏎</kbd>
    </div>
    <p class="faint caution">Most training should be easy. Pain, dizziness or a tight chest: stop, and ask a doctor.</p>
  </aside>
</template>

<style scoped>
.side { background: var(--paper); border-left: 1px solid var(--rule); padding: 20px 18px; width: 308px; flex: none; overflow: auto; display: flex; flex-direction: column; }
.total { font: 700 2.5rem/1.1 var(--title); margin: 4px 0 0; }
.line { margin: 0 0 10px; font-size: .92rem; }
dl { display: grid; grid-template-columns: 1fr auto; gap: 4px 10px; margin: 0 0 10px; }
dd { margin: 0; text-align: right; }
.next { margin-top: 14px; }
.said { font-size: .93rem; overflow-wrap: anywhere; }
.where { color: var(--faint); }
kbd { font: 11px var(--mono); border: 1px solid var(--rule); border-radius: 2px; padding: 0 4px; margin-left: 4px; white-space: nowrap; }
.caution { margin: auto 0 0; padding-top: 14px; border-top: 1px solid var(--rule); font-size: .84rem; }
@media (max-width: 900px) { .side { width: 100%; border-left: 0; border-top: 2px solid var(--slip); overflow: visible; } }
</style>
