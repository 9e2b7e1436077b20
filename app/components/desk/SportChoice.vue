<script setup lang="ts">
import { sportNames } from '~~/core/session/sports'
import { deskSportChoice as texts } from '~/texts/en'

/** The sport of the session, to choose another. */
defineProps<{ sport: string }>()
const emit = defineEmits<{ choose: [sport: string] }>()
</script>

<template>
  <el-select
    :model-value="sport"
    class="sport"
    :aria-label="texts.sport"
    data-test="desk-sport"
    @change="(words: string) => emit('choose', words)">
    <el-option v-for="name in sportNames" :key="name" :value="name" :label="name" />
  </el-select>
</template>

<style scoped>
.sport {
  --el-select-width: 96px;
}
</style>
