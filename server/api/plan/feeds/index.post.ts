import { getRequestProtocol, getHeader, setResponseStatus } from 'h3'
import { number, object, string } from 'yup'
import { addFeed } from '../../../services/calendar'
import { route } from '../../../services/route'
import { clock } from '../../../services/shapes'

/** Gives out an address for another calendar; it is told this once. */
export default route({
  body: object({
    name: string().trim().required().max(60),
    times: object({ weekdays: clock().required(), weekend: clock().required() }).nullable().default(null),
    alarm: number().integer().min(0).max(10_080).nullable().default(null),
  }),
  async handle({ transaction, body, event }) {
    const { feed, key } = await transaction(tx => addFeed(tx, body))
    setResponseStatus(event, 201)
    return { feed, address: `${getRequestProtocol(event)}://${getHeader(event, 'host')}/calendar/${key}.ics` }
  },
})
