<script setup lang="ts">
import type { NuxtError } from '#app'
import { rooms } from '~/rooms'
import { useShownMode } from '~/theme/mode'

/** What stands where an address leads nowhere, or a room has failed. */
const props = defineProps<{ error: NuxtError }>()
const isNowhere = computed(() => props.error.statusCode === 404)
const title = computed(() => (isNowhere.value ? 'There is nothing at this address' : 'This room has failed'))
useShownMode()
useHead({ title: () => `${title.value} · Agonis` })
</script>

<template>
  <main class="page">
    <h1>{{ title }}</h1>
    <p v-if="isNowhere">It may be mistyped, or what stood there has gone. Nothing of yours is lost by it.</p>
    <p v-else>What you typed is kept in this browser. Load the page again; where it fails again, go on in another room.</p>
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
