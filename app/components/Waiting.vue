<script setup lang="ts">
/** What is on its way looks like that, and says what it is. */
defineProps<{ words: string; rows?: number }>()
</script>

<template>
  <div role="status" class="waiting">
    <p class="faint">{{ words }}</p>
    <el-skeleton :rows="rows ?? 4" animated aria-hidden="true" />
  </div>
</template>

<style scoped>
.waiting :deep(.el-skeleton__item) {
  --el-skeleton-color: var(--rule);
  --el-skeleton-to-color: var(--lit);
  border-radius: 2px;
}
</style>
