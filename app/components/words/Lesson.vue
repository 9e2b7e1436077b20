<script setup lang="ts">
/** Offered after an answer: the same words are read so from now on. */
const own = useOwnWordsStore()
const { problem, isBusy, guarded } = useGuarded()
</script>

<template>
  <div v-if="own.offered" class="said note lesson" role="status" data-test="lesson">
    Answered: <span class="mono">{{ own.offered.said }}</span> is <span class="mono">{{ own.offered.means }}</span>. Read it so from now on?
    <span class="choices">
      <el-button size="small" type="primary" :loading="isBusy" @click="guarded(() => own.keep(own.offered!))">Keep the answer</el-button>
      <el-button size="small" text @click="own.offered = null">Only this once</el-button>
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
