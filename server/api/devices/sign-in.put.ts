import { requireHome } from '../../services/entrance'
import { route } from '../../services/route'
import { setSignIn } from '../../services/sign-in'
import { signInShape } from '../../../shared/sign-in'

export default route({
  body: signInShape,
  async handle({ transaction, body }) {
    requireHome()
    await transaction(tx => setSignIn(tx, body.name, body.passphrase))
    return { kept: true }
  },
})
