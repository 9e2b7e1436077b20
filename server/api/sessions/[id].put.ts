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
    tab: string().max(40),
    change: number().integer().min(0).max(Number.MAX_SAFE_INTEGER),
  }),
  handle: ({ transaction, params, body }) => {
    const { tab, change } = body
    const by = tab !== undefined && change !== undefined ? { tab, change } : undefined
    return transaction(tx => saveSession(tx, params.id, body.base, body.script, { source: body.source, by }))
  },
})
