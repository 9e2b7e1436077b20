import type { Readable } from 'node:stream'
import { crc32 } from 'node:zlib'
import { fromBuffer } from 'yauzl'
import type { Entry, ZipFile } from 'yauzl'
import { limits } from '../../../core/session/limits'
import { Problem } from '../problem'

/** Files in one archive. */
const filesAtMost = 20_000
/** Bytes that all files of an archive may come to, counted as they are unpacked, whatever the archive says of itself. */
const unpackedAtMost = 8 * limits.uploadBytes

/** An archive that is read file by file: what it says it holds is known at once, what it holds only when it is unpacked. */
export interface Archive {
  names: readonly string[]
  /** Unpacks one file; throws where it is damaged or larger than is allowed. */
  read: (name: string) => Promise<Uint8Array>
  has: (name: string) => boolean
}

const broken = () => new Problem(422, 'The archive cannot be unpacked.', 'body', 'It may have been cut off on its way; send it again.')

const opened = (bytes: Uint8Array): Promise<ZipFile> =>
  new Promise((resolve, reject) =>
    fromBuffer(Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength), { lazyEntries: true }, (error, file) =>
      error ? reject(broken()) : resolve(file),
    ),
  )

async function entriesOf(zip: ZipFile): Promise<Map<string, Entry>> {
  if (zip.entryCount > filesAtMost)
    throw new Problem(
      413,
      `The archive holds ${zip.entryCount} files; the limit is ${filesAtMost}.`,
      'body',
      'Take it in in several parts.',
    )
  const entries = new Map<string, Entry>()
  await new Promise<void>((resolve, reject) => {
    zip.on('entry', (entry: Entry) => {
      if (!entry.fileName.endsWith('/')) entries.set(entry.fileName, entry)
      zip.readEntry()
    })
    zip.once('end', resolve)
    zip.once('error', () => reject(broken()))
    zip.readEntry()
  })
  return entries
}

const streamOf = (zip: ZipFile, entry: Entry): Promise<Readable> =>
  new Promise((resolve, reject) => zip.openReadStream(entry, (error, stream) => (error ? reject(error) : resolve(stream))))

/** A fault of one file, which keeps no other out. */
export class FileFault extends Error {}

/** Opens an archive; nothing of it is unpacked yet. */
export async function openArchive(bytes: Uint8Array, bytesAtMost = limits.uploadBytes): Promise<Archive> {
  const zip = await opened(bytes)
  const entries = await entriesOf(zip)
  let unpacked = 0
  const read = async (name: string): Promise<Uint8Array> => {
    const entry = entries.get(name)!
    const parts: Buffer[] = []
    let [size, sum] = [0, 0]
    try {
      for await (const part of await streamOf(zip, entry)) {
        const bytes = part as Buffer
        size += bytes.length
        unpacked += bytes.length
        if (unpacked > unpackedAtMost)
          throw new Problem(413, `The archive unpacks to more than ${unpackedAtMost / 1e6} MB.`, 'body', 'Take it in in several parts.')
        if (size > bytesAtMost) throw new FileFault(`Unpacks to more than ${bytesAtMost / 1e6} MB, the limit.`)
        sum = crc32(bytes, sum)
        parts.push(bytes)
      }
    } catch (error) {
      if (error instanceof Problem || error instanceof FileFault) throw error
      throw new FileFault('Cannot be unpacked: it is damaged, or says of itself what is not so.')
    }
    if (sum !== entry.crc32) throw new FileFault('Cannot be unpacked: it is damaged.')
    return Buffer.concat(parts)
  }
  return { names: [...entries.keys()], has: name => entries.has(name), read }
}
