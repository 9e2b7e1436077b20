import { entranceKind } from '../../services/entrance'
import { outsideRoute } from '../../services/route'

export default outsideRoute({ handle: () => Promise.resolve({ kind: entranceKind() }) })
