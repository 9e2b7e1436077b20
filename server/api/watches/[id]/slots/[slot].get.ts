import { route } from '../../../../services/route'
import { slotParams } from '../../../../services/shapes'
import { compareSlot } from '../../../../services/slots'

export default route({ params: slotParams, handle: ({ database, owner, params }) => compareSlot(database, owner, params.id, params.slot) })
