import { object, string } from 'yup'
import { push } from '../../../../services/push'
import { route } from '../../../../services/route'
import { idParams } from '../../../../services/shapes'

export default route({
  params: idParams,
  body: object({
    digest: string()
      .matches(/^[0-9a-f]{64}$/, 'is not a digest')
      .required(),
  }),
  handle: async ({ database, owner, params, body }) => ({ transfers: await push(database, owner, params.id, body.digest) }),
})
