<script setup lang="ts">
import type { Session } from '~~/core/session/document'
import { sayItem } from '~~/core/script/say'

const props = defineProps<{ session: Session | null }>()

/** The session in spoken words, said anew when typing pauses. */
const aloud = shallowRef<string[]>([])
watchDebounced(() => props.session, now => aloud.value = now?.items.map(sayItem) ?? [], { debounce: 250, immediate: true })
const Rows = () => aloud.value.map((words, index) => h('li', { key: index }, words))
</script>

<template>
  <ol class="hidden-text" aria-label="The session, read aloud" data-test="aloud"><Rows /></ol>
</template>
