<script setup lang="ts">
/** A tool of the week that opens below the others: its button, and what it opens. */
defineProps<{ label: string; name: string; isBusy?: boolean }>()
const isOpen = defineModel<boolean>({ default: false })
</script>

<template>
  <el-button :aria-expanded="isOpen" :disabled="isBusy" :data-test="name" @click="isOpen = !isOpen">{{ label }}</el-button>
  <section v-if="isOpen" class="panel" :aria-label="label" @keydown.esc="isOpen = false"><slot /></section>
</template>

<style scoped>
.panel {
  order: 1;
  flex-basis: 100%;
  min-width: 0;
  border-left: 4px solid var(--clay-2);
  padding: 2px 0 2px 12px;
}
.panel :deep(> p) {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
  margin: 6px 0;
}
.panel :deep(.el-button + .el-button) {
  margin-left: 0;
}
</style>
