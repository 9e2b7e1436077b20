<script setup lang="ts">
/**
 * What comes once the room stands and answers.
 *
 * Trap: a part that is still on its way, drawn with the room, would keep the whole room back until it is here.
 */
const isIn = ref(false)
onMounted(() => (isIn.value = true))
</script>

<template><slot v-if="isIn" /></template>
