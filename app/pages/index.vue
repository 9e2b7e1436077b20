<script setup lang="ts">
await navigateTo('/desk', { replace: true })
</script>

<template>
  <div />
</template>
