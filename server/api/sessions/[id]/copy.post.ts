import { randomUUID } from 'node:crypto'
import { setResponseStatus } from 'h3'
import { boolean, object, string } from 'yup'
import { limits } from '../../../../core/session/limits'
import { route } from '../../../services/route'
import { copySession } from '../../../services/session'
import { idParams } from '../../../services/shapes'

export default route({
  params: idParams,
  body: object({ variant: boolean(), title: string().trim().min(1).max(limits.titleLength), script: string() }),
  async handle({ transaction, params, body, event }) {
    const copy = await transaction(tx =>
      copySession(tx, params.id, randomUUID(), { asVariant: body.variant, title: body.title, script: body.script }),
    )
    setResponseStatus(event, 201)
    return copy
  },
})
