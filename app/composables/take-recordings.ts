import type { TakenIn } from '~~/shared/log'
import type { ReadPart } from '~/log/recording-files'
import type { ReadingNews } from '~/workers/recordings.worker'
import { composablesTakeRecordings as texts } from '~/texts/en'

/** What became of one file. */
export interface TakenFile {
  file: string
  taken: { id: string; title: string; isKnown: boolean; copyOf: TakenIn['copyOf'] }[]
  said: string[]
  problem?: string
}

/** Files read apart from the page, one part after the other; ended when nobody waits for the next. */
async function* readFile(file: File, signal: AbortSignal, onShare: (share: number) => void): AsyncGenerator<ReadPart | { count: number }> {
  const worker = new Worker(new URL('../workers/recordings.worker.ts', import.meta.url), { type: 'module' })
  const news: (ReadingNews | Error)[] = []
  let wake = () => {}
  const add = (one: ReadingNews | Error) => {
    news.push(one)
    wake()
  }
  worker.onmessage = ({ data }: MessageEvent<ReadingNews>) => ('share' in data ? onShare(data.share) : add(data))
  worker.onerror = event => add(new Error(event.message || texts.couldNotBeRead))
  const stop = () => wake()
  signal.addEventListener('abort', stop)
  try {
    worker.postMessage(file)
    for (;;) {
      const next = news.shift()
      if (signal.aborted) return
      if (next === undefined) await new Promise<void>(resolve => (wake = resolve))
      else if (next instanceof Error) throw next
      else if ('done' in next) return
      else if ('read' in next) yield next.read
      else if ('count' in next) yield next
    }
  } finally {
    signal.removeEventListener('abort', stop)
    worker.terminate()
  }
}

async function keep(part: Extract<ReadPart, { bytes: Uint8Array }>): Promise<TakenFile> {
  const kept: TakenFile = { file: part.name, taken: [], said: [] }
  try {
    for (const { recording, left, notes } of part.recordings) {
      const taken = await api<TakenIn>('/recordings/taken', { method: 'POST', body: { recording } })
      const path = `/recordings/${taken.id}/original?name=${encodeURIComponent(part.name.split('/').at(-1)!.slice(0, 300))}`
      await answerTo(path, { method: 'PUT', body: part.bytes as BodyInit }, texts.dropItAgain)
      kept.taken.push(taken)
      if (taken.copyOf) kept.said.push(texts.isCopyOf(taken.copyOf.title))
      if (taken.isKnown) continue
      kept.said.push(...notes, ...(left.length > 0 ? [texts.leftOut(left.join(', '))] : []), ...clockDoubt(recording.startedAt))
    }
  } catch (error) {
    return { ...kept, problem: toldOf(error).problem }
  }
  return { ...kept, said: [...new Set(kept.said)] }
}

/** The first year in which such devices told the time of day. */
const firstYear = 2001
/** A clock that never was set, or is ahead. */
function clockDoubt(startedAt: string): string[] {
  const isEarly = new Date(startedAt).getUTCFullYear() < firstYear
  return isEarly || Date.parse(startedAt) > Date.now() + 86_400_000 ? [texts.clockWasWrong(startedAt.slice(0, 10))] : []
}

/** Takes recordings in from files, one after the other, each kept as it is read; what was kept stays when the rest is cancelled. */
export function useTakeRecordings(onKept: () => Promise<unknown>) {
  const results = shallowRef<TakenFile[] | null>(null)
  /** Files of how many are done, and the share of the one at hand that is read. */
  const progress = ref<{ done: number; count: number; share: number } | null>(null)
  let abort: AbortController | null = null

  async function take(files: readonly File[]): Promise<void> {
    if (abort || files.length === 0) return
    abort = new AbortController()
    results.value = []
    progress.value = { done: 0, count: files.length, share: 0 }
    const add = (result: TakenFile) => (results.value = [...results.value!, result])
    const { signal } = abort
    const move = (change: Partial<{ done: number; count: number; share: number }>) => (progress.value = { ...progress.value!, ...change })
    for (const file of files) {
      try {
        for await (const part of readFile(file, signal, share => move({ share }))) {
          if ('count' in part) move({ count: progress.value.count + part.count - 1 })
          else {
            add('problem' in part ? { file: part.name, taken: [], said: [], problem: part.problem } : await keep(part))
            move({ done: progress.value.done + 1, share: 0 })
          }
        }
      } catch (error) {
        add({ file: file.name, taken: [], said: [], problem: toldOf(error).problem })
        move({ done: progress.value.done + 1, share: 0 })
      }
      if (signal.aborted) break
    }
    progress.value = null
    abort = null
    await onKept()
  }
  const cancel = () => abort?.abort()
  onScopeDispose(cancel)
  return { results, progress, take, cancel }
}
