<script setup lang="ts">
import { wordsLesson as texts } from '~/texts/en'
/** Offered after an answer: the same words are read so from now on. */
const own = useOwnWordsStore()
const { problem, isBusy, guarded } = useGuarded()
</script>

<template>
  <div v-if="own.offered" class="said note lesson" role="status" data-test="lesson">
    {{ texts.answered }} <span class="mono">{{ own.offered.said }}</span> {{ texts.is }} <span class="mono">{{ own.offered.means }}</span>{{
      texts.readItSoFrom
    }}
    <span class="choices">
      <el-button size="small" type="primary" :loading="isBusy" @click="guarded(() => own.keep(own.offered!))">{{
        texts.keepTheAnswer
      }}</el-button>
      <el-button size="small" text @click="own.offered = null">{{ texts.onlyThisOnce }}</el-button>
    </span>
    <p v-if="problem" class="bad" role="alert">{{ problem.problem }} {{ problem.hint }}</p>
  </div>
</template>

<style scoped>
.lesson {
  overflow-wrap: anywhere;
}
.choices {
  display: block;
  margin-top: 4px;
}
p {
  margin: 4px 0 0;
}
</style>
