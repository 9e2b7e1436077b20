<script setup lang="ts">
/** A field that tells what was typed once it is left, or at Enter, and shows what was made of it. */
const props = defineProps<{ value: string | number }>()
const emit = defineEmits<{ change: [words: string] }>()
const typed = ref(String(props.value))
watch(
  () => props.value,
  value => (typed.value = String(value)),
)
</script>

<template>
  <el-input v-model="typed" @change="(words: string) => emit('change', words)" />
</template>
