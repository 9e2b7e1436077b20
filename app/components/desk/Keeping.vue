<script setup lang="ts">
const desk = useDeskKeepingStore()
const { timeOf: clockOf } = useDates()
</script>

<template>
  <span role="status" data-test="keeping">
    <span v-if="desk.keeping.state === 'there'" class="good">● kept, {{ clockOf(desk.keeping.at) }}</span>
    <span v-else-if="desk.keeping.state === 'writing'" class="doubt">● keeping…</span>
    <span v-else-if="desk.keeping.state === 'here'" class="doubt">● kept here, {{ desk.keeping.why }}</span>
    <span v-else-if="desk.keeping.state === 'nowhere'" class="bad">● not kept: {{ desk.keeping.why }}</span>
    <span v-else-if="desk.keeping.state === 'differs'" class="bad">● both differ: choose</span>
    <span v-else class="faint">nothing written yet</span>
  </span>
</template>
