<script setup lang="ts">
import { deskWalkOffer as texts } from '~/texts/en'
/** The offer of a first walk, until it is taken or declined; asked for from Help it begins at once. */
const walk = useWalk()
const isWalking = ref(false)
onNuxtReady(() => walk.value === 'wanted' && begin())
function begin() {
  isWalking.value = true
}
function end() {
  isWalking.value = false
  walk.value = 'known'
}
</script>

<template>
  <span v-if="walk === '' && !isWalking" class="offer faint">
    {{ texts.newHere }} <el-button link type="primary" data-test="walk" @click="begin">{{ texts.aWalkOfA }}</el-button>
    <el-button link :aria-label="texts.noWalk" data-test="no-walk" @click="end">{{ texts.noThanks }}</el-button>
  </span>
  <LazyDeskFirstWalk v-if="isWalking" @end="end" />
</template>

<style scoped>
.offer {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 0 8px;
  align-items: center;
  margin-left: auto;
}
</style>
