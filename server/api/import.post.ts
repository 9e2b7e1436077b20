import { getHeader, sendStream, setHeader } from 'h3'
import { object, string } from 'yup'
import { limits } from '../../core/session/limits'
import type { ImportedFile } from '../../shared/api'
import { importFile } from '../services/exchange'
import { Problem } from '../services/problem'
import { readBytes, route } from '../services/route'

/** Says line by line what became of each file, so that who waits sees how far it is. A fault on the way is said as the last line. */
function told(count: number, results: AsyncGenerator<ImportedFile>): ReadableStream {
  const line = (value: unknown) => new TextEncoder().encode(`${JSON.stringify(value)}\n`)
  return new ReadableStream({
    start: controller => controller.enqueue(line({ count })),
    async pull(controller) {
      try {
        const { value, done } = await results.next()
        if (done) controller.close()
        else controller.enqueue(line(value))
      } catch {
        controller.enqueue(line({ problem: 'The server could not go on; what is listed before this was taken in.' }))
        controller.close()
      }
    },
    async cancel() {
      await results.return(undefined)
    },
  })
}

export default route({
  query: object({ name: string().required().max(300) }),
  async handle({ transaction, owner, query, event }) {
    const bytes = await readBytes(event, limits.uploadBytes)
    if (bytes.length === 0) throw new Problem(400, 'The body is empty.', 'body', 'Send the bytes of the file as they are.')
    const { count, results } = await importFile(transaction, owner, query.name, bytes)
    if (getHeader(event, 'accept')?.includes('application/x-ndjson')) {
      setHeader(event, 'content-type', 'application/x-ndjson')
      return sendStream(event, told(count, results))
    }
    const files: ImportedFile[] = []
    for await (const file of results) files.push(file)
    return { files }
  },
})
