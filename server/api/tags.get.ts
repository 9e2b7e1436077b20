import { route } from '../services/route'
import { listTags } from '../services/shelf'

export default route({ handle: ({ transaction }) => transaction(listTags) })
