<script setup lang="ts">
import type { EraseAsked } from '~~/shared/api'
import { meEverything as texts } from '~/texts/en'

const emit = defineEmits<{ changed: [] }>()
const { problem, isBusy, guarded } = useGuarded()
const { imported, importedCount, knownCount, refusedFiles, progress, takeFiles } = useImport(guarded, () =>
  Promise.resolve(emit('changed')),
)
const { open: choose, onChange: onChosen } = useFileDialog({ accept: '.zip', multiple: false, reset: true })
onChosen(files => files && takeFiles([...files]))
const isErased = ref(false)
const share = computed(() => (progress.value ? Math.round((100 * progress.value.done) / Math.max(1, progress.value.count)) : 0))
const count = (number: number, one: string) => `${number} ${one}${number === 1 ? '' : 's'}`

/** Whether the athlete goes on: asked once with what would be gone, and once more by a word to type. */
async function isMeant({ sessions, wordings, recordings, planned }: EraseAsked['holds']): Promise<boolean> {
  const parts = [count(sessions, 'session'), count(wordings, 'wording'), count(recordings, 'recording'), count(planned, texts.plannedDay)]
  try {
    await ElMessageBox.confirm(texts.yourNumbersAndThe(parts.join(', ')), texts.eraseEverything, {
      confirmButtonText: texts.goOn,
      cancelButtonText: texts.keepEverything,
      type: 'warning',
    })
    await ElMessageBox.prompt(texts.typeEraseToDo, texts.eraseEverythingForGood, {
      confirmButtonText: 'Erase',
      cancelButtonText: texts.keepEverything,
      inputPattern: /^\s*erase\s*$/i,
      inputErrorMessage: texts.theWordIsErase,
      type: 'error',
    })
    return true
  } catch {
    return false
  }
}

const erase = () =>
  guarded(async () => {
    const asked = await api<EraseAsked>('/erase', { method: 'POST', body: {} })
    if (!(await isMeant(asked.holds))) return
    await api('/erase', { method: 'POST', body: { key: asked.key } })
    await forgetHere()
    isErased.value = true
    emit('changed')
  })
const takenWords = computed(() => {
  const known = knownCount.value > 0 ? texts.hereAlready(knownCount.value) : ''
  return texts.takenInOf(count(importedCount.value, 'thing'), count(imported.value?.length ?? 0, 'file'), known)
})
</script>

<template>
  <p class="faint">
    {{ texts.sessionsWithEveryWording }}
  </p>
  <p class="buttons">
    <el-button tag="a" href="/api/export" download data-test="export">{{ texts.downloadEverything }}</el-button>
    <el-button :loading="progress !== null" data-test="take-everything" @click="choose()">{{ texts.takeInADownload }}</el-button>
    <el-button type="danger" plain :disabled="isBusy" data-test="erase" @click="erase">{{ texts.eraseEverything2 }}</el-button>
  </p>
  <el-progress v-if="progress" :percentage="share" :format="() => `${progress?.done} of ${progress?.count}`" />
  <ProblemAlert :problem="problem" />
  <el-alert v-if="isErased" type="success" show-icon :closable="false" :title="texts.everythingIsErased" data-test="erased" />
  <el-alert
    v-if="imported && !problem"
    :type="refusedFiles.length > 0 ? 'warning' : 'success'"
    show-icon
    :title="takenWords"
    data-test="everything-taken"
    @close="imported = null">
    <p v-for="one in refusedFiles.slice(0, 8)" :key="one.file">
      <span class="mono">{{ one.file }}</span> {{ one.problem }}
    </p>
  </el-alert>
</template>
