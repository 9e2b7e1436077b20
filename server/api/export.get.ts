import { setResponseHeader } from 'h3'
import { exportAll } from '../services/exchange'
import { route } from '../services/route'

export default route({
  async handle({ transaction, event }) {
    const archive = await transaction(exportAll)
    setResponseHeader(event, 'content-type', 'application/zip')
    setResponseHeader(event, 'content-disposition', 'attachment; filename="agonis-sessions.zip"')
    return Buffer.from(archive)
  },
})
