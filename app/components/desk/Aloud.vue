<script setup lang="ts">
import { sayItem } from '~~/core/script/say'
import { deskAloud as texts } from '~/texts/en'

const desk = useDeskReadingStore()

/** The session in spoken words, said anew when typing pauses. */
const aloud = shallowRef<string[]>([])
watchDebounced(
  () => desk.reading,
  ({ sessions }) => (aloud.value = sessions.length === 1 ? sessions[0]!.items.map(sayItem) : []),
  { debounce: 250, immediate: true },
)
const Rows = () => aloud.value.map((words, index) => h('li', { key: index }, words))
</script>

<template>
  <ol class="hidden-text" :aria-label="texts.theSessionReadAloud" data-test="aloud">
    <Rows />
  </ol>
</template>
