import { athleteHistory } from '../../services/athlete'
import { route } from '../../services/route'

export default route({ handle: ({ transaction }) => transaction(athleteHistory) })
