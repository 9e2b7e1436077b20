<script setup lang="ts">
import { roomAt } from '~/rooms'
import { roomOpening as texts } from '~/texts/en'

/** What stands where a room is about to be: its name and what it is about, in the first words that the server sends. */
const room = roomAt(useRoute().path)
useHead({ title: room ? texts.agonis(room.name) : 'Agonis' })
</script>

<template>
  <div class="page" data-test="opening">
    <template v-if="room">
      <h1>{{ room.name }}</h1>
      <p>{{ room.about }}</p>
    </template>
    <p class="faint" role="status">{{ texts.opening }}</p>
  </div>
</template>
