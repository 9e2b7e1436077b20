import { setResponseStatus } from 'h3'
import { boolean, object, string } from 'yup'
import { route } from '../../../../services/route'
import { idParams } from '../../../../services/shapes'
import { startTransfer } from '../../../../services/transfer'

export default route({
  params: idParams,
  body: object({
    session: string().uuid('is not an id').required(),
    over: boolean(),
    digest: string().matches(/^[0-9a-f]{64}$/, 'is not a digest'),
  }),
  async handle({ database, owner, params, body, event }) {
    const begun = await startTransfer(database, owner, {
      watchId: params.id,
      sessionId: body.session,
      isOver: body.over,
      digest: body.digest,
    })
    setResponseStatus(event, 201)
    return begun
  },
})
