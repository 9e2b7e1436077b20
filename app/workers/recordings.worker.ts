import { limits } from '~~/core/session/limits'
import { partsOf, readPart, tooLarge } from '~/log/recording-files'
import type { ReadPart } from '~/log/recording-files'

/** What the worker tells of one file: how many are in it, how far the one it reads is, each as it is read, and that it is done. */
export type ReadingNews = { count: number } | { share: number } | { read: ReadPart } | { done: true }

const tell = (news: ReadingNews) => self.postMessage(news)

self.onmessage = async ({ data: file }: MessageEvent<File>) => {
  const isTooLarge = file.size > limits.uploadBytes
  const parts = isTooLarge ? [tooLarge(file.name)] : partsOf(file.name, new Uint8Array(await file.arrayBuffer()))
  tell({ count: parts.length })
  for (const part of parts) {
    const read = readPart(part, share => tell({ share }))
    tell({ read })
  }
  tell({ done: true })
}
