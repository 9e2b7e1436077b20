import { setResponseStatus } from 'h3'
import { object, string } from 'yup'
import { planSession } from '../../services/plan'
import { route } from '../../services/route'

export default route({
  body: object({
    session: string().uuid('is not an id').required(),
    day: string()
      .matches(/^\d{4}-\d{2}-\d{2}$/, 'is not a date')
      .required(),
  }),
  async handle({ transaction, body, event }) {
    const entry = await transaction(tx => planSession(tx, body.session, body.day))
    setResponseStatus(event, 201)
    return entry
  },
})
