<script setup lang="ts">
/** What a wrist shows while nothing is going: its programs, where to begin, or the code for pairing. */
const props = defineProps<{
  title: string
  slots: readonly { slot: number; name: string }[]
  chosen: number | null
  entrances: { words: readonly string[]; at: number } | null
  code?: string | null
}>()
const shown = 5
/** A few rows around the one pointed at. */
function around<T>(rows: readonly T[], at: number): { row: T; index: number }[] {
  const from = Math.max(0, Math.min(at - 2, rows.length - shown))
  return rows.slice(from, from + shown).map((row, index) => ({ row, index: from + index }))
}
const entrances = computed(() => (props.entrances ? around(props.entrances.words, props.entrances.at) : []))
const programs = computed(() =>
  around(
    props.slots,
    Math.max(
      0,
      props.slots.findIndex(slot => slot.slot === props.chosen),
    ),
  ),
)
</script>

<template>
  <p class="where">{{ code ? 'pairing code' : title }}</p>
  <p v-if="code" class="code" data-test="code">{{ code.slice(0, 3) }} {{ code.slice(3) }}</p>
  <ul v-else-if="props.entrances" class="choose">
    <li v-for="{ row, index } in entrances" :key="index" :class="{ on: index === props.entrances.at }">{{ row }}</li>
  </ul>
  <p v-else-if="slots.length === 0" class="free">nothing to carry out</p>
  <ul v-else class="choose">
    <li v-for="{ row } in programs" :key="row.slot" :class="{ on: row.slot === chosen }">{{ row.name }}</li>
  </ul>
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
  padding: 8px 12px;
  border-radius: 4px;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.choose li.on {
  background: #e2b48f;
  color: #14110f;
  font-weight: 700;
}
.next {
  margin-top: auto;
  color: #c9bca9;
}
</style>
