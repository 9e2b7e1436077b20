import { steadinessFromRecordings } from '../../services/steadiness'
import { route } from '../../services/route'

export default route({ handle: ({ transaction }) => transaction(steadinessFromRecordings) })
