import { requireHome } from '../../services/entrance'
import { outsideRoute } from '../../services/route'
import { signIn } from '../../services/sign-in'
import { signInShape } from '../../../shared/sign-in'

export default outsideRoute({
  body: signInShape,
  async handle({ event, database, body }) {
    requireHome()
    await signIn(event, database, body.name, body.passphrase)
    return { signedIn: true }
  },
})
