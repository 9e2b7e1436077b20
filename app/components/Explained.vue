<script setup lang="ts">
import type { Entry, Term } from '~~/core/words/glossary'
import { glossary } from '~~/core/words/glossary'
import { explained as texts } from '~/texts/en'

/** A mark beside a number or a word of our own; pressed, it says what that means and where it comes from. */
const props = defineProps<{ term: Term }>()
const entry = computed<Entry>(() => glossary[props.term])
</script>

<template>
  <el-popover trigger="click" :width="300" placement="bottom-start" :show-after="0" :hide-after="0">
    <template #reference>
      <el-button link class="explained" :aria-label="texts.whatMeans(entry.word)" data-test="explained">?</el-button>
    </template>
    <p role="note">
      <b>{{ entry.word }}.</b> {{ entry.means }} <span v-if="entry.source" class="faint">{{ entry.source }}</span> {{ ' '
      }}<NuxtLink :to="`/help#${term}`">{{ texts.allOfThem }}</NuxtLink>
    </p>
  </el-popover>
</template>

<style scoped>
p {
  margin: 0;
  line-height: 1.4;
  word-break: normal;
  text-align: left;
}
.explained {
  min-width: 24px;
  font-size: 0.84rem;
}
</style>
