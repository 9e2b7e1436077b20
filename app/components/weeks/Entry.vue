<script setup lang="ts">
import { sayDuration, sayToTheMinute } from '~~/core/quantity/time'
import type { DoneRow, PlanAsk, PlanRow } from '~~/shared/plan'
import { weeksEntry as texts } from '~/texts/en'

/** One thing on a day: its picture, what it is, and what can be done with it by menu and by keys. */
const props = defineProps<{
  row: PlanRow
  days: readonly { iso: string; name: string }[]
  done: DoneRow | undefined
  isFirst: boolean
  today: string
}>()
const emit = defineEmits<{ edit: [ask: PlanAsk] }>()
const facts = computed(() => {
  const { kind, sport, seconds, minutes, effort, burden } = props.row
  if (kind === 'session') return [sport ?? '', seconds === null ? texts.lengthNotKnown : sayToTheMinute(seconds), burden?.level ?? '']
  if (kind === 'work')
    return [minutes === null ? '' : sayDuration(minutes * 60), effort === null ? texts.noEffortSaid : texts.effort(effort)]
  return [{ note: texts.note, rest: texts.rest, blocked: texts.blocked, race: texts.race }[kind]]
})
const title = computed(() => props.row.title || { rest: texts.restDay, blocked: texts.blockedDay }[props.row.kind as 'rest' | 'blocked'])
const move = (day: string, at?: number) =>
  emit('edit', { do: 'move', id: props.row.id, day, was: { day: props.row.day }, ...(at === undefined ? {} : { at }) })
const asking = ref<'move' | 'change' | null>(null)
const ask = (what: 'move' | 'change') => (asking.value = asking.value === what ? null : what)
const hasWords = computed(() => props.row.kind !== 'session')
function moveTo(day: string) {
  asking.value = null
  move(day)
}
function changed(edit: PlanAsk) {
  asking.value = null
  emit('edit', edit)
}
/** A day earlier or later, or a place up or down in its day. */
function onKey(event: KeyboardEvent) {
  if (!event.altKey || event.ctrlKey || event.metaKey) return
  const index = props.days.findIndex(({ iso }) => iso === props.row.day)
  const act = {
    ArrowUp: () => props.days[index - 1] && move(props.days[index - 1]!.iso),
    ArrowDown: () => props.days[index + 1] && move(props.days[index + 1]!.iso),
    ArrowLeft: () => move(props.row.day, Math.max(0, props.row.at - 1)),
    ArrowRight: () => move(props.row.day, props.row.at + 1),
  }[event.code]
  if (!act) return
  event.preventDefault()
  act()
}
</script>

<template>
  <div class="entry" :class="row.kind" data-test="entry" :data-id="row.id" @keydown="onKey">
    <span class="what">
      <NuxtLink v-if="row.sessionId" :to="`/desk/${row.sessionId}`">{{ title }}</NuxtLink>
      <strong v-else tabindex="0">{{ title }}</strong>
      <NuxtLink v-if="done" :to="`/log/${done.id}`" class="good"> ✓ {{ texts.done }}</NuxtLink>
      <small class="faint">{{ facts.filter(Boolean).join(' · ') }}</small>
    </span>
    <SessionCord v-if="row.cord" :cord="done?.cord ?? row.cord" :width="300" class="picture" />
    <span v-else />
    <span class="acts">
      <el-button
        link
        type="primary"
        :aria-label="texts.moveTo(title)"
        :aria-expanded="asking === 'move'"
        data-test="move"
        @click="ask('move')"
        >{{ texts.move }}</el-button
      >
      <el-button
        v-if="hasWords"
        link
        type="primary"
        :aria-label="texts.changeIt(title)"
        :aria-expanded="asking === 'change'"
        data-test="change"
        @click="ask('change')"
        >{{ texts.change }}</el-button
      >
      <el-button v-if="!isFirst" link type="primary" :aria-label="texts.earlierInItsDay(title)" @click="move(row.day, row.at - 1)"
        >↑</el-button
      >
      <el-button
        link
        type="primary"
        :aria-label="texts.takeOffTheDay(title)"
        data-test="take-off"
        @click="emit('edit', { do: 'off', ids: [row.id] })"
        >{{ texts.takeOff }}</el-button
      >
    </span>
    <p v-if="asking === 'move'" class="asked" data-test="move-to">
      {{ texts.to }}
      <el-button
        v-for="other in days"
        :key="other.iso"
        size="small"
        :disabled="other.iso < today || other.iso === row.day"
        @click="moveTo(other.iso)"
        >{{ other.name.slice(0, 3) }}</el-button
      >
    </p>
    <LazyWeeksChange v-if="asking === 'change'" class="asked" :row="row" @edit="changed" @close="asking = null" />
  </div>
</template>

<style scoped>
.entry {
  display: grid;
  grid-template-columns: minmax(140px, 1fr) minmax(0, 300px) auto;
  gap: 2px 14px;
  align-items: center;
  padding: 4px 0;
  cursor: grab;
}
.what,
.acts {
  align-self: baseline;
}
.what {
  overflow-wrap: anywhere;
}
.what small {
  display: block;
}
.blocked strong,
.rest strong {
  font-weight: 400;
}
.race strong {
  font-family: var(--title);
}
.acts {
  display: inline-flex;
  gap: 8px;
  align-items: center;
}
.acts .el-button + .el-button,
.asked .el-button + .el-button {
  margin-left: 0;
}
.asked {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: center;
  margin: 2px 0 6px;
}
@media (max-width: 760px) {
  .entry {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .picture {
    grid-column: 1 / -1;
    grid-row: 2;
  }
}
@media print {
  .acts {
    display: none;
  }
}
</style>
