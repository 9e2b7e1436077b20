import { entranceKind, isByName } from '../../services/entrance'
import { outsideRoute } from '../../services/route'

export default outsideRoute({
  handle: ({ event }) => Promise.resolve({ kind: entranceKind(), hasPasskeys: entranceKind() === 'home' && isByName(event) }),
})
