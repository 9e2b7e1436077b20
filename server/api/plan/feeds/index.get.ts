import { listFeeds } from '../../../services/calendar'
import { route } from '../../../services/route'

export default route({ handle: ({ transaction }) => transaction(listFeeds) })
