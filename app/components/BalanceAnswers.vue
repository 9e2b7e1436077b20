<script setup lang="ts">
import { balanceAnswers as texts } from '~/texts/en'

/** What can be answered to a suggestion about the days: the move that helps, not this week, never. */
defineProps<{ fix: { title: string; day: string } | null; isBusy: boolean }>()
const emit = defineEmits<{ take: []; dismiss: [what: 'this' | 'kind'] }>()
const dates = useDates()
</script>

<template>
  <span class="answers">
    <el-button v-if="fix" link type="primary" :disabled="isBusy" data-test="take-fix" @click="emit('take')">
      {{ texts.move(fix.title, dates.day(fix.day)) }}
    </el-button>
    <el-button link type="primary" :disabled="isBusy" data-test="dismiss" @click="emit('dismiss', 'this')">{{
      texts.notThisWeek
    }}</el-button>
    <el-button link type="primary" :disabled="isBusy" data-test="dismiss-kind" @click="emit('dismiss', 'kind')">{{
      texts.never
    }}</el-button>
  </span>
</template>

<style scoped>
.answers {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
}
.answers .el-button + .el-button {
  margin-left: 0;
}
</style>
