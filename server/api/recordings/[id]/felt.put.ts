import { feltShape } from '../../../../shared/forms'
import { keepFelt } from '../../../services/recording'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'

export default route({
  params: idParams,
  body: feltShape,
  async handle({ transaction, params, body }) {
    await transaction(tx => keepFelt(tx, params.id, body))
    return { kept: params.id }
  },
})
