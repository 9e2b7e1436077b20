import { mixed, object, string } from 'yup'
import { chooseInstead, previewFit } from '../../../services/fit'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'

export default route({
  params: idParams,
  body: object({
    session: string().uuid('is not an id').required(),
    here: mixed<Record<string, string>>()
      .required()
      .test(
        'choices',
        'choices are words by row and kind',
        value =>
          typeof value === 'object' &&
          value !== null &&
          !Array.isArray(value) &&
          Object.values(value).every(way => typeof way === 'string' && way.length < 40) &&
          Object.keys(value).length < 2000,
      ),
  }),
  handle: ({ transaction, params, body }) =>
    transaction(async tx => {
      await chooseInstead(tx, params.id, body.session, body.here)
      return previewFit(tx, params.id, body.session)
    }),
})
