<script setup lang="ts">
import { deskHead as texts } from '~/texts/en'
/** The session's title and sport, changed where they stand. */
defineProps<{ title: string; place: string }>()
const emit = defineEmits<{ title: [words: string]; sport: [words: string] }>()
const desk = useDeskReadingStore()
const isNaming = ref(false)
const typed = ref('')
const sport = computed(() => desk.session?.sport ?? null)

function begin() {
  typed.value = desk.session?.title ?? ''
  isNaming.value = true
}
function end(isKept: boolean) {
  if (!isNaming.value) return
  isNaming.value = false
  const words = typed.value.replace(/\s+/g, ' ').trim()
  if (isKept && words !== '' && words !== desk.session?.title) emit('title', words)
}
</script>

<template>
  <div class="head">
    <el-input
      v-if="isNaming"
      v-model="typed"
      autofocus
      maxlength="200"
      :aria-label="texts.title"
      data-test="title-field"
      @keydown.enter="end(true)"
      @keydown.esc="end(false)"
      @blur="end(true)" />
    <h1 v-show="!isNaming" data-test="title">{{ title }}</h1>
    <el-button v-if="!isNaming && desk.session" link type="primary" data-test="rename" @click="begin">{{ texts.rename }}</el-button>
    <AfterRoom v-if="sport && sport !== 'multi'">
      <LazyDeskSportChoice :sport="sport" @choose="(words: string) => emit('sport', words)" />
    </AfterRoom>
    <span v-else-if="sport" class="faint">{{ texts.severalSports }}</span>
    <span class="faint">{{ place }}</span>
    <AfterRoom><LazyDeskWalkOffer /></AfterRoom>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
}
h1 {
  overflow-wrap: anywhere;
  display: -webkit-box;
  -webkit-line-clamp: 2;
  -webkit-box-orient: vertical;
  overflow: hidden;
  padding-bottom: 0.12em;
}
.el-input {
  max-width: 460px;
}
</style>
