import { moveDemo } from '../../services/demo'
import { route } from '../../services/route'

export default route({ handle: ({ transaction }) => transaction(moveDemo) })
