import { route } from '../services/route'
import { todayOf } from '../services/today'

export default route({ handle: ({ transaction }) => transaction(todayOf) })
