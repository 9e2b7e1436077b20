import { route } from '../../services/route'
import { listWatches } from '../../services/watch'

export default route({ handle: ({ transaction }) => transaction(listWatches) })
