import { setResponseStatus } from 'h3'
import { boolean, object, string } from 'yup'
import { route } from '../../../../services/route'
import { idParams } from '../../../../services/shapes'
import { startTransfer } from '../../../../services/transfer'

export default route({
  params: idParams,
  body: object({ session: string().uuid('is not an id').required(), over: boolean() }),
  async handle({ database, owner, params, body, event }) {
    const begun = await startTransfer(database, owner, { watchId: params.id, sessionId: body.session, isOver: body.over })
    setResponseStatus(event, 201)
    return begun
  },
})
