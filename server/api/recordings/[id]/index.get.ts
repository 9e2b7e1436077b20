import { loadRecording } from '../../../services/recording'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'

export default route({ params: idParams, handle: ({ transaction, params }) => transaction(tx => loadRecording(tx, params.id)) })
