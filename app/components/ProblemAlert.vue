<script setup lang="ts">
import type { ApiProblem } from '~/composables/api'

/** What failed and what to do about it; nothing where nothing did. */
defineProps<{ problem: ApiProblem | null }>()
</script>

<template>
  <el-alert v-if="problem" type="error" show-icon :closable="false" :title="problem.problem" :description="problem.hint" />
</template>
