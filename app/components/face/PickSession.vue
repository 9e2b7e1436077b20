<script setup lang="ts">
import type { ShelfRow } from '~~/shared/api'
import { facePickSession as texts } from '~/texts/en'

/** One of the sessions on the shelf, to be taken along. */
defineProps<{ shelf: readonly ShelfRow[] }>()
const picked = defineModel<string>({ required: true })
</script>

<template>
  <label
    >{{ texts.orOne }}
    <el-select v-model="picked" :placeholder="texts.ofTheShelf" data-test="pick">
      <el-option v-for="row in shelf" :key="row.id" :value="row.id" :label="row.title"><SessionBrief :row="row" /></el-option>
    </el-select>
  </label>
</template>

<style scoped>
label {
  display: flex;
  gap: 8px;
  align-items: center;
}
</style>
