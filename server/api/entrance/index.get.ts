import { getHeader } from 'h3'
import { isIP } from 'node:net'
import { entranceKind, whoAsks } from '../../services/entrance'
import { outsideRoute } from '../../services/route'

export default outsideRoute({
  async handle({ event, database }) {
    const name = (getHeader(event, 'host') ?? '').replace(/:\d+$/, '')
    return {
      kind: entranceKind(),
      hasPasskeys: entranceKind() === 'home' && !isIP(name),
      isSignedIn: (await whoAsks(event, database)) !== null,
    }
  },
})
