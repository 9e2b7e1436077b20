import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'
import { takeInstead } from '../../../services/taken-recording'

/** A copy of another device that was put aside takes the place of the one it was put aside for. */
export default route({ params: idParams, handle: ({ transaction, params }) => transaction(tx => takeInstead(tx, params.id)) })
