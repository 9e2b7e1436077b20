<script setup lang="ts">
/** The offer of a first walk, until it is taken or declined; asked for from Help it begins at once. */
const isKnown = useLocalStorage('agonis.walk', false)
const route = useRoute()
const isWalking = ref(false)
onNuxtReady(() => (isWalking.value = route.query.walk === '1'))
function begin() {
  isWalking.value = true
}
function end() {
  isWalking.value = false
  isKnown.value = true
}
</script>

<template>
  <span v-if="!isKnown && !isWalking" class="offer faint">
    New here? <el-button link type="primary" data-test="walk" @click="begin">A walk of a minute</el-button>
    <el-button link aria-label="No walk" data-test="no-walk" @click="isKnown = true">no, thanks</el-button>
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
