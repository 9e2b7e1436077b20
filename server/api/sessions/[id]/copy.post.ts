import { randomUUID } from 'node:crypto'
import { setResponseStatus } from 'h3'
import { route } from '../../../services/route'
import { copySession } from '../../../services/session'
import { idParams } from '../../../services/shapes'

export default route({
  params: idParams,
  async handle({ transaction, params, event }) {
    const copy = await transaction(tx => copySession(tx, params.id, randomUUID()))
    setResponseStatus(event, 201)
    return copy
  },
})
