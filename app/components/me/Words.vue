<script setup lang="ts">
import type { OwnWord } from '~~/core/athlete/athlete'
import { ownWordLength } from '~~/core/script/token/own-words'
import { useMeaning } from '~/words/use-meaning'
import { meWords as texts } from '~/texts/en'

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
  <section class="words" :aria-label="texts.yourWords">
    <p class="faint">
      {{ texts.whatYouAndYour }}
    </p>
    <el-table v-if="own.words.length > 0" :data="own.words" size="small" data-test="own-words">
      <el-table-column :label="texts.said" min-width="110">
        <template #default="{ row }"
          ><span class="mono">{{ row.said }}</span></template
        >
      </el-table-column>
      <el-table-column :label="texts.means" min-width="140">
        <template #default="{ row }"
          ><span class="mono">{{ row.means }}</span></template
        >
      </el-table-column>
      <el-table-column :label="texts.change" width="150" align="right">
        <template #default="{ row }">
          <el-button link type="primary" :aria-label="texts.change2(row.said)" @click="change(row as OwnWord)">{{
            texts.change
          }}</el-button>
          <el-button link :aria-label="texts.forget(row.said)" @click="guarded(() => own.forget(row.said))">{{ texts.forget2 }}</el-button>
        </template>
      </el-table-column>
    </el-table>
    <form class="add" :aria-label="texts.aWordOfYours" @submit.prevent="keep">
      <el-input v-model="said" :maxlength="ownWordLength" :aria-label="texts.said" :placeholder="texts.quayLoop" data-test="own-said" />
      <span>{{ texts.means2 }}</span>
      <el-input v-model="means" :maxlength="ownWordLength" :aria-label="texts.means" :placeholder="texts.n32KmEasy" data-test="own-means" />
      <el-button type="primary" native-type="submit" :disabled="!isUsable" :loading="isBusy">{{ texts.keep }}</el-button>
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
