import { boolean, object } from 'yup'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'
import { archiveSession } from '../../../services/shelf'

export default route({
  params: idParams,
  body: object({ archived: boolean().required() }),
  async handle({ transaction, params, body }) {
    await transaction(tx => archiveSession(tx, params.id, body.archived))
    return { archived: body.archived }
  },
})
