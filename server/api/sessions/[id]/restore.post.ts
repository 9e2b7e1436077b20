import { route } from '../../../services/route'
import { restoreSession } from '../../../services/session'
import { idParams } from '../../../services/shapes'

export default route({ params: idParams, handle: ({ transaction, params }) => transaction(tx => restoreSession(tx, params.id)) })
