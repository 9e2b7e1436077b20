<script setup lang="ts">
import type { Remark } from '~~/core/script/remark'
import { remarkTitle } from '~~/core/words/remark-titles'
import { deskRemarkLine as texts } from '~/texts/en'

/** One remark: its row, what was said, what it reads as, and what else it could be. */
const props = defineProps<{ remark: Remark; isKeyed: boolean }>()
const emit = defineEmits<{ fix: [replacement: string]; show: [] }>()
const isLong = computed(() => props.remark.readAs.includes('\n'))
const isSaid = computed(() => props.remark.said && !isLong.value && !['spelling', 'sport'].includes(props.remark.code))
</script>

<template>
  <div class="said" :class="remark.level">
    <el-button link type="primary" class="where" @click="emit('show')">{{ texts.line(remark.line) }}</el-button>
    {{ ' ' }}<strong>{{ remarkTitle(remark.code) }}</strong>
    <span v-if="isSaid" class="mono">: {{ remark.said.trim() }}</span>
    <span v-if="!isLong">
      → <span :class="{ mono: remark.code === 'spelling' }">{{ remark.readAs.trim() }}</span></span
    >
    <span v-else> {{ texts.asRows(remark.readAs.split('\n').length) }}</span>
    <template v-for="fix in remark.fixes" :key="fix.label">
      {{ ' ' }}<el-button link type="primary" @click="emit('fix', fix.replacement)">{{ fix.label }}</el-button>
    </template>
    <AfterRoom><LazyWordsDefine v-if="remark.code === 'left-over'" :said="remark.said" /></AfterRoom>
    <kbd v-if="isKeyed">{{ texts.alt }}</kbd>
  </div>
</template>
