import type { ImportedFile } from '~~/shared/api'
import { hereAlready } from '~~/shared/api'
import { composablesUseImport as texts } from '~/texts/en'

/** How far taking files in has come: so many of so many. */
export interface ImportProgress {
  done: number
  count: number
}

/** The lines of a body as they arrive. */
async function* linesOf(body: ReadableStream<Uint8Array>): AsyncGenerator<string> {
  const reader = body.getReader()
  const decoder = new TextDecoder()
  let rest = ''
  for (;;) {
    const { value, done } = await reader.read()
    const lines = (rest + decoder.decode(value, { stream: !done })).split('\n')
    rest = done ? '' : lines.pop()!
    yield* lines.filter(line => line !== '')
    if (done) return
  }
}

/** Takes one file in, and tells of each part of it as the server has kept it. */
async function* takeFile(file: File): AsyncGenerator<ImportedFile | { count: number }> {
  const headers = { 'accept': 'application/x-ndjson', 'content-type': 'application/octet-stream' }
  const path = `/import?name=${encodeURIComponent(file.name.slice(0, 300))}`
  const response = await answerTo(path, { method: 'POST', body: file, headers }, texts.chooseTheFileAgain)
  for await (const line of linesOf(response.body!)) yield { file: file.name, titles: [], ...(JSON.parse(line) as object) }
}

/** Takes files in, one after the other, and keeps what became of each for the screen to show. */
export function useImport(guarded: (work: () => Promise<unknown>) => Promise<void>, load: () => Promise<unknown>) {
  const imported = ref<ImportedFile[] | null>(null)
  const progress = ref<ImportProgress | null>(null)

  const takeFiles = (files: readonly File[]) =>
    guarded(async () => {
      imported.value = null
      const results: ImportedFile[] = []
      try {
        for (const file of files) {
          for await (const told of takeFile(file)) {
            if ('count' in told) progress.value = { done: 0, count: told.count }
            else {
              results.push(told)
              if (progress.value) progress.value = { ...progress.value, done: progress.value.done + 1 }
            }
          }
        }
      } finally {
        progress.value = null
        imported.value = results
        await load()
      }
    })
  const isHereAlready = ({ note }: ImportedFile) => note === hereAlready
  const importedCount = computed(
    () => imported.value?.filter(one => !isHereAlready(one)).reduce((sum, one) => sum + one.titles.length, 0) ?? 0,
  )
  const knownCount = computed(() => imported.value?.filter(isHereAlready).length ?? 0)
  const refusedFiles = computed(() => imported.value?.filter(one => one.problem) ?? [])

  return { imported, importedCount, knownCount, refusedFiles, progress, takeFiles }
}
