<script setup lang="ts">
import type { EraseAsked } from '~~/shared/api'

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
  const parts = [count(sessions, 'session'), count(wordings, 'wording'), count(recordings, 'recording'), count(planned, 'planned day')]
  try {
    await ElMessageBox.confirm(
      `${parts.join(', ')}, your numbers and the watches known here would be gone for good. Only a download or a backup brings them back.`,
      'Erase everything?',
      { confirmButtonText: 'Go on', cancelButtonText: 'Keep everything', type: 'warning' },
    )
    await ElMessageBox.prompt('Type erase to do it.', 'Erase everything, for good', {
      confirmButtonText: 'Erase',
      cancelButtonText: 'Keep everything',
      inputPattern: /^\s*erase\s*$/i,
      inputErrorMessage: 'The word is: erase',
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
  const known = knownCount.value > 0 ? `; ${knownCount.value} here already` : ''
  return `${count(importedCount.value, 'thing')} taken in, of ${count(imported.value?.length ?? 0, 'file')}${known}.`
})
</script>

<template>
  <p class="faint">
    Sessions with every wording, recordings, plan and numbers as one zip of open formats. Any Agonis takes it in again, here or on another
    machine; what is there already stays as it is.
  </p>
  <p class="buttons">
    <el-button tag="a" href="/api/export" download data-test="export">Download everything</el-button>
    <el-button :loading="progress !== null" data-test="take-everything" @click="choose()">Take in a download</el-button>
    <el-button type="danger" plain :disabled="isBusy" data-test="erase" @click="erase">Erase everything…</el-button>
  </p>
  <el-progress v-if="progress" :percentage="share" :format="() => `${progress?.done} of ${progress?.count}`" />
  <ProblemAlert :problem="problem" />
  <el-alert v-if="isErased" type="success" show-icon :closable="false" title="Everything is erased." data-test="erased" />
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
