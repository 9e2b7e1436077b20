import { factsShape } from '../../../../shared/forms'
import { setFacts } from '../../../services/recording-facts'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'

export default route({
  params: idParams,
  body: factsShape,
  handle: ({ transaction, params, body }) => transaction(tx => setFacts(tx, params.id, body)),
})
