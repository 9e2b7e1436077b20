<script setup lang="ts">
import { faceIdleGlass as texts } from '~/texts/en'
/** What a wrist shows while nothing is going: its programs, the chosen one's rows, a choice of rows, or the code for pairing. */
const props = defineProps<{
  title: string
  slots: readonly { slot: number; name: string; isOwn?: boolean }[]
  chosen: number | null
  /** Rows to choose from, and the one pointed at, which is shown whole. */
  choice: { words: readonly string[]; at: number } | null
  rows?: readonly { words: string; depth: number }[]
  code?: string | null
}>()
const shown = { choices: 5, programs: 3, rows: 4 }
/** A few rows around the one pointed at. */
function around<T>(rows: readonly T[], at: number, most: number): { row: T; index: number }[] {
  const from = Math.max(0, Math.min(at - Math.floor(most / 2), rows.length - most))
  return rows.slice(from, from + most).map((row, index) => ({ row, index: from + index }))
}
const choices = computed(() => (props.choice ? around(props.choice.words, props.choice.at, shown.choices) : []))
const programs = computed(() => {
  const at = props.slots.findIndex(slot => slot.slot === props.chosen)
  return around(props.slots, Math.max(0, at), shown.programs)
})
const rest = computed(() => Math.max(0, (props.rows?.length ?? 0) - shown.rows))
</script>

<template>
  <p class="where">{{ code ? texts.pairingCode : title }}</p>
  <p v-if="code" class="code" data-test="code">{{ code.slice(0, 3) }} {{ code.slice(3) }}</p>
  <ul v-else-if="choice" class="choose">
    <li v-for="{ row, index } in choices" :key="index" :class="{ on: index === choice.at }">{{ row }}</li>
  </ul>
  <p v-else-if="slots.length === 0" class="free">{{ texts.nothingToCarryOut }}</p>
  <template v-else>
    <ul class="choose">
      <li v-for="{ row } in programs" :key="row.slot" :class="{ on: row.slot === chosen }">
        {{ row.name }}<small v-if="row.isOwn"> {{ texts.changedHere }}</small>
      </li>
    </ul>
    <ol class="rows" data-test="glass-rows">
      <li v-for="(row, index) in rows?.slice(0, shown.rows)" :key="index" :style="{ paddingLeft: `${row.depth * 12}px` }">
        {{ row.words }}
      </li>
      <li v-if="rest > 0" class="more">{{ texts.more(rest, rest === 1 ? texts.row : texts.rows) }}</li>
    </ol>
  </template>
  <p class="next"><slot /></p>
</template>

<style scoped>
p {
  margin: 0;
}
.where {
  color: #e2b48f;
  min-height: 1.5em;
}
.code {
  font: 700 3.4em/1.2 var(--mono);
  margin: auto 0;
  white-space: nowrap;
}
.free {
  color: #c9bca9;
  margin: auto 0;
  font-size: 1.2em;
}
.choose {
  list-style: none;
  padding: 0;
  margin: 10px 0;
  text-align: left;
}
.choose li {
  padding: 6px 12px;
  border-radius: 4px;
  line-height: 1.25;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.choose li small {
  color: inherit;
}
.rows {
  list-style: none;
  margin: 0;
  padding: 0 12px;
  text-align: left;
  font: 0.84em/1.45 var(--mono);
  color: #c9bca9;
}
.rows li {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.more {
  font-family: var(--read);
}
.choose li.on {
  white-space: normal;
  background: #e2b48f;
  color: #14110f;
  font-weight: 700;
}
.next {
  margin-top: auto;
  color: #c9bca9;
}
</style>
