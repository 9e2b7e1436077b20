import { setResponseStatus } from 'h3'
import { object, string } from 'yup'
import { planSession } from '../../services/plan'
import { route } from '../../services/route'
import { day } from '../../services/shapes'

export default route({
  body: object({ session: string().uuid('is not an id').required(), day: day().required() }),
  async handle({ transaction, body, event }) {
    const entry = await transaction(tx => planSession(tx, body.session, body.day))
    setResponseStatus(event, 201)
    return entry
  },
})
