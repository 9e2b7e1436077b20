import { object, string } from 'yup'
import { pairByCode } from '../../../services/pairing'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'

export default route({
  params: idParams,
  body: object({
    code: string()
      .matches(/^\d{6}$/, 'a code is six digits')
      .required(),
  }),
  handle: ({ database, owner, params, body }) => pairByCode(database, owner, params.id, body.code),
})
