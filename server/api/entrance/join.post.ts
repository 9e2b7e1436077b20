import { object, string } from 'yup'
import { outsideRoute } from '../../services/route'
import { joinBy } from '../../services/sign-in'
import { nameShape, passphraseShape } from '../../../shared/sign-in'

export default outsideRoute({
  body: object({ key: string().required().max(200), name: nameShape(), passphrase: passphraseShape() }),
  handle: async ({ event, database, body }) => ({ did: await joinBy(event, database, body.key, body) }),
})
