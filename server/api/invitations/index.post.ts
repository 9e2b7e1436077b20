import { setResponseStatus } from 'h3'
import { object, string } from 'yup'
import { reachedAt, requireHome } from '../../services/entrance'
import { invite } from '../../services/invitation'
import { route } from '../../services/route'

const minutes = { enter: 10, join: 60 * 24 }

/**
 * A key that lets one device of the athlete in, or one new athlete, as an address. Trap: the key stands behind `#`, where no server
 * and no log sees it.
 */
export default route({
  body: object({
    lets: string()
      .oneOf(['enter', 'join'] as const)
      .required(),
  }),
  async handle({ event, transaction, body }) {
    requireHome()
    const key = await transaction(tx => invite(tx, body.lets, minutes[body.lets]))
    setResponseStatus(event, 201)
    return { address: `${reachedAt(event)}/join#${body.lets}=${key}`, minutes: minutes[body.lets] }
  },
})
