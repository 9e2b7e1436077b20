<script setup lang="ts">
defineProps<{ title: string }>()
</script>

<template>
  <section class="entrance">
    <h1>{{ title }}</h1>
    <slot />
  </section>
</template>

<style scoped>
.entrance {
  max-width: 30rem;
  margin: 48px auto;
  padding: 0 20px;
  display: flex;
  flex-direction: column;
  gap: 14px;
}
h1 {
  font-family: var(--title);
  font-size: 1.6rem;
  margin: 0;
}
.entrance :deep(p) {
  margin: 0;
}
</style>
