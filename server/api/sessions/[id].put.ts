import { number, object, string } from 'yup'
import { limits } from '../../../core/session/limits'
import { route } from '../../services/route'
import { saveSession } from '../../services/session'
import { idParams } from '../../services/shapes'

export default route({
  params: idParams,
  body: object({
    base: number().integer().min(0).required(),
    script: string().defined(),
    source: string().nullable().max(limits.textBytes),
  }),
  handle: ({ transaction, params, body }) => transaction(tx => saveSession(tx, params.id, body.base, body.script, { source: body.source })),
})
