<script setup lang="ts">
import type { Reckoning } from '~~/core/reckon/reckon'
import type { Advice, AdviceCode } from '~~/core/advise/advise'
import type { Edit } from '~~/core/edit/edit'
import type { Remark } from '~~/core/script/remark'
import { sayDistance } from '~~/core/quantity/distance'
import { formatTime, sayDuration } from '~~/core/quantity/time'
import { keyedRemark } from '~/desk/fix'

const props = defineProps<{
  reckoning: Reckoning | undefined, remarks: Remark[], advice: Advice[], waved: string[], lineOf: (path: string) => number | null
  known: number, hard: number, unit: 'km' | 'mi' | 'm', minutesToday: number | null
}>()
const emit = defineEmits<{ fix: [remark: Remark, replacement: string], show: [line: number], edit: [edits: Edit[]], wave: [keys: string[]], today: [minutes: number | null] }>()
const thoughts = computed(() => props.advice.filter(thought => !props.waved.includes(thought.key)).slice(0, 12))
const wavedCount = computed(() => props.advice.length - props.advice.filter(thought => !props.waved.includes(thought.key)).length)
const thoughtTitles: Record<AdviceCode, string> = {
  'needless-last-recovery': 'Last recovery', 'two-recoveries': 'Two in a row', 'narrow-band': 'Narrow band', 'beyond-shown': 'Beyond your marks', 'implausible': 'Meant so?',
  'mixed-units': 'Mixed units', 'press-in-block': 'Waits for a press', 'no-easy-after': 'Nothing easy after', 'no-warm-up': 'No warm-up', 'over-time': 'Too long for today',
}

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
  'left-over': 'Kept as a note', 'label': 'A part\'s name', 'titled': 'Title', 'place': 'Place', 'legs': 'Several sports', 'day': 'Day', 'day-off': 'Day off', 'date': 'Which day?', 'joined': 'For the step before', 'target-joined': 'For the step before',
  'effort-name': 'Effort', 'short-pair': 'Seconds?', 'own-time': 'Pace or time?', 'percent-of': 'Percent of what?', 'within-or-after': 'Within or after?', 'hours-or-minutes': 'Hours or minutes?',
  'spelling': 'Read as', 'open-end': 'No length said', 'unreadable': 'Not read', 'unread': 'Not read', 'sport': 'Sport', 'pace-unit': 'Pace', 'zone-measure': 'Zone',
  'chatter': 'Kept as a note', 'doubt-open': 'Still in doubt', 'offset-unit': 'Offset', 'effort-word': 'How hard?', 'computed': 'Computed', 'thousands': 'Thousands?', 'session-ceiling': 'Ceiling', 'header': 'Header',
  'empty-block': 'Nothing to repeat', 'empty-leg': 'Nothing in the leg', 'steps': 'Too many steps', 'past-limit': 'Too many steps', 'nesting': 'Too deep', 'duration': 'Too long', 'title': 'Title', 'too-long': 'Too much text',
  'step': 'Not sound', 'block': 'Not sound', 'leg': 'Leg',
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
      <dt><label for="today">Time today</label></dt>
      <dd><input id="today" class="field minutes" type="number" min="1" max="2880" placeholder="–" :value="minutesToday ?? ''" data-test="today" @input="emit('today', Number(($event.target as HTMLInputElement).value) || null)"> min</dd>
      <dt>Steps</dt><dd class="mono" data-test="steps">{{ steps }}<template v-if="reckoning && reckoning.open > 0">, {{ reckoning.open }} open</template></dd>
    </dl>
    <DeskHomeBy v-if="reckoning && steps > 0" :seconds="reckoning.seconds" />
    <div v-for="line in missing" :key="line" class="said note">{{ line[0]?.toUpperCase() + line.slice(1) }}.<MeAskNumber :missing="line" /></div>

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
    <slot name="forecast" />
    <template v-if="thoughts.length > 0 || wavedCount > 0">
      <h2 class="next">Worth a thought</h2>
      <div v-for="thought in thoughts" :key="thought.key + thought.path" class="said note" data-test="thought">
        <button v-if="thought.path !== null && lineOf(thought.path) !== null" class="plain where" @click="emit('show', lineOf(thought.path)!)">Line {{ lineOf(thought.path) }}</button>
        {{ ' ' }}<strong>{{ thoughtTitles[thought.code] }}</strong>: {{ thought.said }}
        <template v-for="fix in thought.fixes" :key="fix.label">{{ ' ' }}<button class="plain" @click="emit('edit', fix.edits)">{{ fix.label }}</button></template>
        {{ ' ' }}<button class="plain wave" :aria-label="`Wave off: ${thoughtTitles[thought.code]}`" @click="emit('wave', [...waved, thought.key])">not here</button>
        <p v-if="thought.code === 'beyond-shown'" class="faint small">Marks grow old. Ease when it hurts; a doctor or physiotherapist knows more.</p>
      </div>
      <p v-if="wavedCount > 0" class="faint small">{{ wavedCount }} waved off. <button class="plain" @click="emit('wave', [])">Show again</button></p>
    </template>
    <slot />
    <p class="faint caution">Most training should be easy. Pain, dizziness or a tight chest: stop, and ask a doctor.</p>
  </aside>
</template>

<style scoped>
.side { contain: content; background: var(--paper); border-left: 1px solid var(--rule); padding: 20px 18px; width: 308px; flex: none; overflow: auto; display: flex; flex-direction: column; }
.total { font: 700 2.5rem/1.1 var(--title); margin: 4px 0 0; }
.line { margin: 0 0 10px; font-size: .92rem; }
dl { display: grid; grid-template-columns: 1fr auto; gap: 4px 10px; margin: 0 0 10px; }
dd { margin: 0; text-align: right; }
.next { margin-top: 14px; }
.said { font-size: .93rem; overflow-wrap: anywhere; }
.where { color: var(--faint); }
.wave { color: var(--faint); }
.small { font-size: .84rem; margin: 2px 0; }
.minutes { width: 62px; padding: 0 4px; min-height: 26px; text-align: right; }
kbd { font: 11px var(--mono); border: 1px solid var(--rule); border-radius: 2px; padding: 0 4px; margin-left: 4px; white-space: nowrap; }
.caution { margin: auto 0 0; padding-top: 14px; border-top: 1px solid var(--rule); font-size: .84rem; }
@media (max-width: 900px) { .side { width: 100%; border-left: 0; border-top: 2px solid var(--slip); overflow: visible; } }
</style>
