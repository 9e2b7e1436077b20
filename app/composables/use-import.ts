import type { ImportedFile } from '~~/shared/api'

/** Takes files in, one after the other, and keeps what became of each for the screen to show. */
export function useImport(guarded: (work: () => Promise<unknown>) => Promise<void>, load: () => Promise<unknown>) {
  const imported = ref<ImportedFile[] | null>(null)

  const takeIn = (field: HTMLInputElement | null) =>
    guarded(async () => {
      imported.value = null
      const results: ImportedFile[] = []
      for (const one of [...(field?.files ?? [])]) {
        const body = { name: one.name, base64: await base64Of(one) }
        results.push(...(await api<{ files: ImportedFile[] }>('/import', { method: 'POST', body })).files)
      }
      imported.value = results
      if (field) field.value = ''
      await load()
    })
  const importedCount = computed(() => imported.value?.reduce((sum, one) => sum + one.titles.length, 0) ?? 0)
  const refusedFiles = computed(() => imported.value?.filter(one => one.problem) ?? [])

  return { imported, importedCount, refusedFiles, takeIn }
}
