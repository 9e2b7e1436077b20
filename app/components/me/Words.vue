<script setup lang="ts">
import type { OwnWord } from '~~/core/athlete/athlete'
import { ownWordLength } from '~~/core/script/token/own-words'
import { useMeaning } from '~/words/use-meaning'

/** The athlete's own words: what their answers taught, to be changed and added to. */
const own = useOwnWordsStore()
const { problem, isBusy, guarded } = useGuarded()
const said = ref('')
const means = ref('')
const { says, isUsable } = useMeaning(said, means)
const keep = () =>
  guarded(async () => {
    if (!isUsable.value) return
    await own.keep({ said: said.value.trim(), means: means.value.trim() })
    said.value = ''
    means.value = ''
  })
function change(word: OwnWord) {
  said.value = word.said
  means.value = word.means
}
</script>

<template>
  <section class="words" aria-label="Your words">
    <p class="faint">
      What you and your coach mean by your words. An answer at the Desk or in Weeks can be kept here; a message says beside each row where
      one was used.
    </p>
    <el-table v-if="own.words.length > 0" :data="own.words" size="small" data-test="own-words">
      <el-table-column label="Said" min-width="110">
        <template #default="{ row }"
          ><span class="mono">{{ row.said }}</span></template
        >
      </el-table-column>
      <el-table-column label="Means" min-width="140">
        <template #default="{ row }"
          ><span class="mono">{{ row.means }}</span></template
        >
      </el-table-column>
      <el-table-column label="Change" width="150" align="right">
        <template #default="{ row }">
          <el-button link type="primary" :aria-label="`Change ${row.said}`" @click="change(row as OwnWord)">Change</el-button>
          <el-button link :aria-label="`Forget ${row.said}`" @click="guarded(() => own.forget(row.said))">Forget</el-button>
        </template>
      </el-table-column>
    </el-table>
    <form class="add" aria-label="A word of yours" @submit.prevent="keep">
      <el-input v-model="said" :maxlength="ownWordLength" aria-label="Said" placeholder="Quay loop" data-test="own-said" />
      <span>means</span>
      <el-input v-model="means" :maxlength="ownWordLength" aria-label="Means" placeholder="3.2 km easy" data-test="own-means" />
      <el-button type="primary" native-type="submit" :disabled="!isUsable" :loading="isBusy">Keep</el-button>
      <span class="says small" :class="means.trim() === '' || isUsable || said.trim() === '' ? 'faint' : 'bad'" role="status">{{
        says
      }}</span>
      <span v-if="problem" class="says bad" role="alert">{{ problem.problem }} {{ problem.hint }}</span>
    </form>
  </section>
</template>

<style scoped>
.words {
  max-width: 640px;
}
.add {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto minmax(0, 1.4fr) auto;
  gap: 6px 10px;
  align-items: center;
  margin-top: 12px;
}
.says {
  grid-column: 1 / -1;
}
@media (max-width: 480px) {
  .add {
    grid-template-columns: 1fr;
  }
}
</style>
