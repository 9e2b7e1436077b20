import { route } from '../../services/route'
import { lookRound } from '../../services/demo-look'

/** The demo for an account that has nothing yet. */
export default route({ handle: ({ database, owner }) => lookRound(database, owner) })
