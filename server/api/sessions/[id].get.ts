import { route } from '../../services/route'
import { loadSession } from '../../services/session'
import { idParams } from '../../services/shapes'

export default route({ params: idParams, handle: ({ transaction, params }) => transaction(tx => loadSession(tx, params.id)) })
