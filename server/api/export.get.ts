import { sendStream, setResponseHeader } from 'h3'
import { writeArchive } from '../services/archive/write'
import { route } from '../services/route'

export default route({
  handle({ transaction, event }) {
    const day = new Date().toISOString().slice(0, 10)
    setResponseHeader(event, 'content-type', 'application/zip')
    setResponseHeader(event, 'content-disposition', `attachment; filename="agonis-${day}.zip"`)
    const parts = writeArchive(transaction)
    return sendStream(
      event,
      new ReadableStream({
        async pull(controller) {
          const { value, done } = await parts.next()
          if (done) controller.close()
          else controller.enqueue(value)
        },
        async cancel() {
          await parts.return(undefined)
        },
      }),
    )
  },
})
