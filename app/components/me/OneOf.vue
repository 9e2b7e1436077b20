<script setup lang="ts" generic="Way extends string">
/** Several ways, of which one is taken. */
defineProps<{ label: string; ways: readonly (readonly [way: Way, words: string])[]; taken: Way }>()
const emit = defineEmits<{ take: [way: Way] }>()
</script>

<template>
  <el-radio-group :model-value="taken" :aria-label="label" @change="way => emit('take', way as Way)">
    <el-radio v-for="[way, words] in ways" :key="way" :value="way">{{ words }}</el-radio>
  </el-radio-group>
</template>
