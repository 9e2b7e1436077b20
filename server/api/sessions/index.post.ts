import { randomUUID } from 'node:crypto'
import { setResponseStatus } from 'h3'
import { mixed, object } from 'yup'
import { route } from '../../services/route'
import { importSession } from '../../services/session'

export default route({
  body: object({ document: mixed().required() }),
  async handle({ transaction, body, event }) {
    const kept = await transaction(tx => importSession(tx, randomUUID(), body.document))
    setResponseStatus(event, 201)
    return kept
  },
})
