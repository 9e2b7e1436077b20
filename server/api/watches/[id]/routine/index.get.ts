import { route } from '../../../../services/route'
import { routineOf } from '../../../../services/routine'
import { idParams } from '../../../../services/shapes'

export default route({ params: idParams, handle: ({ transaction, params }) => transaction(tx => routineOf(tx, params.id)) })
