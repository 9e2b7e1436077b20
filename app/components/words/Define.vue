<script setup lang="ts">
import { ownWordLength } from '~~/core/script/token/own-words'
import { useMeaning } from '~/words/use-meaning'
import { wordsDefine as texts } from '~/texts/en'

/** Says what words mean that were read as nothing, so that they are read from now on. */
const props = defineProps<{ said: string }>()
const own = useOwnWordsStore()
const { problem, isBusy, guarded } = useGuarded()
const isOpen = ref(false)
const means = ref('')
const { says, isUsable } = useMeaning(
  () => props.said,
  () => means.value,
)
const keep = () =>
  guarded(async () => {
    if (!isUsable.value) return
    await own.keep({ said: props.said.trim(), means: means.value.trim() })
    isOpen.value = false
    means.value = ''
  })
</script>

<template>
  <el-button v-if="!isOpen" link type="primary" class="open" @click="isOpen = true">{{ texts.sayWhatItMeans }}</el-button>
  <form v-else class="define" :aria-label="texts.whatMeans(said)" @submit.prevent="keep">
    <el-input
      v-model="means"
      autofocus
      size="small"
      :maxlength="ownWordLength"
      :aria-label="texts.whatMeans(said)"
      :placeholder="texts.n32KmEasy"
      @keydown.esc="isOpen = false" />
    <span class="small" :class="isUsable ? 'faint' : 'bad'" role="status">{{ says }}</span>
    <span>
      <el-button size="small" type="primary" native-type="submit" :disabled="!isUsable" :loading="isBusy">{{ texts.keep }}</el-button>
      <el-button size="small" text @click="isOpen = false">{{ texts.leaveIt }}</el-button>
    </span>
    <span v-if="problem" class="bad" role="alert">{{ problem.problem }} {{ problem.hint }}</span>
  </form>
</template>

<style scoped>
.open {
  font-size: inherit;
  vertical-align: baseline;
}
.define {
  display: grid;
  gap: 4px;
  margin: 4px 0;
}
</style>
