import { setResponseStatus } from 'h3'
import { mixed, object, string } from 'yup'
import { limits } from '../../../core/session/limits'
import { takeIn } from '../../services/take-in'
import { route } from '../../services/route'

export default route({
  body: object({ recording: mixed().required(), program: mixed(), session: string().uuid('is not an id') }),
  bodyBytes: limits.uploadBytes,
  async handle({ transaction, body, event }) {
    const taken = await transaction(tx => takeIn(tx, body))
    setResponseStatus(event, 201)
    return taken
  },
})
