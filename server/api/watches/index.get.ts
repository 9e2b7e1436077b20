import { route } from '../../services/route'
import { listWatches } from '../../services/wrist'

export default route({ handle: ({ transaction }) => transaction(listWatches) })
