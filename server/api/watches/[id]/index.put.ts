import { mixed, object, string } from 'yup'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'
import { changeWatch } from '../../../services/watch'
import type { WatchChanges } from '../../../services/watch'

export default route({
  params: idParams,
  body: object({
    name: string().trim().min(1).max(60),
    link: string().oneOf(['cable', 'radio'] as const),
    profile: mixed(),
    standing: mixed<Record<string, string>>().test(
      'choices',
      'standing choices are words by what they are about',
      value =>
        value === undefined ||
        (typeof value === 'object' &&
          value !== null &&
          Object.values(value).every(way => typeof way === 'string' && way.length < 40) &&
          Object.keys(value).length < 200),
    ),
  }),
  handle: ({ transaction, params, body }) => transaction(tx => changeWatch(tx, params.id, body as WatchChanges)),
})
