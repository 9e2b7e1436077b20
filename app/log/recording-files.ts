import { Unzip, UnzipInflate } from 'fflate'
import type { TakenRecording } from '~~/core/exchange/exchanged'
import { formOfName, readRecordingText } from '~~/core/exchange/recording-file'
import { joinBytes } from '~~/core/wrist/link/protocol'
import { limits } from '~~/core/session/limits'
import { logRecordingFiles as texts } from '~/texts/en'

/** One file, or one out of an archive: its bytes, or why it is not read. */
export type FilePart = { name: string; bytes: Uint8Array } | { name: string; problem: string }

/** What a file held: recordings with what is to be said of each, or why none. */
export type ReadPart = { name: string; bytes: Uint8Array; recordings: TakenRecording[] } | { name: string; problem: string }

const megabytes = (bytes: number) => Math.round(bytes / 1024 / 1024)
/** Bytes that all files of an archive may come to, counted as they are unpacked, whatever the archive says of itself. */
const unpackedAtMost = 8 * limits.uploadBytes
const filesAtMost = 5000
const pushedAtOnce = 64 * 1024

/** What is said of a file that is not read at all. */
export const tooLarge = (name: string): FilePart => ({ name, problem: texts.tooLarge(megabytes(limits.uploadBytes)) })

const isZip = (bytes: Uint8Array) => bytes[0] === 0x50 && bytes[1] === 0x4b
/** What systems put into archives beside what was chosen. */
const isBeside = (name: string) => name.endsWith('/') || name.startsWith('__MACOSX/') || /(^|\/)\./.test(name)

/** The files of an archive, unpacked within bounds; what an archive says of its sizes is not believed. */
function unpacked(name: string, archive: Uint8Array): FilePart[] {
  const parts: FilePart[] = []
  const begun = new Set<string>()
  let whole = 0
  const unzip = new Unzip(file => {
    if (isBeside(file.name) || begun.size > filesAtMost) return
    if (begun.size === filesAtMost) parts.push({ name, problem: texts.moreFiles(filesAtMost) })
    begun.add(file.name)
    if (/\.zip$/i.test(file.name)) return void parts.push({ name: file.name, problem: texts.archiveInArchive })
    if (formOfName(file.name) === null) return void parts.push({ name: file.name, problem: texts.noForm })
    const chunks: Uint8Array[] = []
    let size = 0
    file.ondata = (error, chunk, isFinal) => {
      if (error) return void parts.push({ name: file.name, problem: texts.damaged })
      size += chunk.length
      whole += chunk.length
      chunks.push(chunk)
      if (size > limits.uploadBytes || whole > unpackedAtMost) {
        file.terminate()
        parts.push({ name: file.name, problem: texts.tooLarge(megabytes(size > limits.uploadBytes ? limits.uploadBytes : unpackedAtMost)) })
      } else if (isFinal) parts.push({ name: file.name, bytes: joinBytes(chunks) })
    }
    file.start()
  })
  unzip.register(UnzipInflate)
  try {
    for (let at = 0; at < archive.length; at += pushedAtOnce)
      unzip.push(archive.subarray(at, at + pushedAtOnce), at + pushedAtOnce >= archive.length)
  } catch {
    parts.push({ name, problem: texts.damaged })
  }
  const told = new Set(parts.map(part => part.name))
  for (const file of begun) if (!told.has(file)) parts.push({ name: file, problem: texts.cutOff })
  return parts.length > 0 ? parts : [{ name, problem: texts.emptyArchive }]
}

/** What a file comes to: itself, or what is in it. */
export const partsOf = (name: string, bytes: Uint8Array): FilePart[] => (isZip(bytes) ? unpacked(name, bytes) : [{ name, bytes }])

function documentIn(text: string): TakenRecording[] | string {
  const value = JSON.parse(text) as { format?: unknown } | null
  if (value?.format === 'agonis.recording') return [{ recording: value as TakenRecording['recording'], left: [], notes: [] }]
  return value?.format === 'agonis.session' ? texts.isSession : texts.isNoRecording
}

/**
 * Reads the recordings of one file.
 *
 * @param onShare called as it goes on, with the share of it that is read
 */
export function readPart(part: FilePart, onShare?: (share: number) => void): ReadPart {
  if ('problem' in part) return part
  const { name, bytes } = part
  const form = formOfName(name)
  if (form === null) return { name, problem: texts.noForm }
  let text: string
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return { name, problem: texts.noText }
  }
  if (text.trim() === '') return { name, problem: texts.isEmpty }
  if (form === 'json') {
    try {
      const recordings = documentIn(text)
      return typeof recordings === 'string' ? { name, problem: recordings } : { name, bytes, recordings }
    } catch (error) {
      return { name, problem: texts.noJson((error as Error).message) }
    }
  }
  const taken = readRecordingText(form, text, {}, onShare)
  if (!taken.ok) return { name, problem: texts.noRecording(taken.problem, taken.line) }
  const { recording, left, notes, others } = taken
  return { name, bytes, recordings: [{ recording, left, notes }, ...others] }
}
