import { codeShape } from '../../../../shared/forms'
import { pairByCode } from '../../../services/pairing'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'

export default route({
  params: idParams,
  body: codeShape,
  handle: ({ database, owner, params, body }) => pairByCode(database, owner, params.id, body.code),
})
