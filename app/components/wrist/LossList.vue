<script setup lang="ts">
import type { Loss } from '~~/core/wrist/fit'

defineProps<{ losses: Loss[] }>()
</script>

<template>
  <ul v-if="losses.length > 0" class="losses">
    <li v-for="(loss, index) in losses" :key="index" class="said" :class="loss.instead === null ? 'error' : 'ask'">
      <span v-if="loss.path" class="mono faint">{{ loss.path }} </span>{{ loss.what }}
      <strong v-if="loss.instead === null" class="bad"> – not possible there</strong>
      <span v-else> – instead: <strong>{{ loss.instead }}</strong></span>
    </li>
  </ul>
</template>

<style scoped>
.losses { list-style: none; padding: 0; margin: 8px 0; max-height: 240px; overflow: auto; }
</style>
