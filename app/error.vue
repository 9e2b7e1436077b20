<script setup lang="ts">
import type { NuxtError } from '#app'
import { rooms } from '~/rooms'
import { useShownMode } from '~/theme/mode'
import { error as texts } from '~/texts/en'

/** What stands where an address leads nowhere, or a room has failed. */
const props = defineProps<{ error: NuxtError }>()
const isNowhere = computed(() => props.error.statusCode === 404)
const title = computed(() => (isNowhere.value ? texts.thereIsNothingAt : texts.thisRoomHasFailed))
useShownMode()
useHead({ title: () => texts.agonis(title.value) })
</script>

<template>
  <main class="page">
    <h1>{{ title }}</h1>
    <p v-if="isNowhere">{{ texts.itMayBeMistyped }}</p>
    <p v-else>{{ texts.whatYouTypedIs }}</p>
    <ul>
      <li v-for="room in rooms" :key="room.to">
        <a :href="room.to">{{ room.name }}</a> <span class="faint">{{ room.about }}</span>
      </li>
    </ul>
  </main>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
}
li {
  padding: 5px 0;
  border-bottom: 1px solid var(--rule);
}
</style>
