import { route } from '../../services/route'
import { shapeOf } from '../../services/shape'

export default route({ handle: ({ transaction }) => transaction(shapeOf) })
