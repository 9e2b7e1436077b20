<script setup lang="ts">
import { deskKeeping as texts } from '~/texts/en'
const desk = useDeskKeepingStore()
const { timeOf: clockOf } = useDates()
</script>

<template>
  <span role="status" data-test="keeping">
    <span v-if="desk.keeping.state === 'there'" class="good">{{ texts.kept(clockOf(desk.keeping.at)) }}</span>
    <span v-else-if="desk.keeping.state === 'writing'" class="doubt">{{ texts.keeping }}</span>
    <span v-else-if="desk.keeping.state === 'here'" class="doubt">{{ texts.keptHere(desk.keeping.why) }}</span>
    <span v-else-if="desk.keeping.state === 'nowhere'" class="bad">{{ texts.notKept(desk.keeping.why) }}</span>
    <span v-else-if="desk.keeping.state === 'differs'" class="bad">{{ texts.bothDifferChoose }}</span>
    <span v-else class="faint">{{ texts.nothingWrittenYet }}</span>
  </span>
</template>
