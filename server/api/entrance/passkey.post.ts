import type { AuthenticationResponseJSON } from '@simplewebauthn/server'
import { object, string } from 'yup'
import { requireHome } from '../../services/entrance'
import { ownerByPasskey } from '../../services/passkey'
import { outsideRoute } from '../../services/route'
import { knockFromAddress, letDeviceIn } from '../../services/sign-in'

export default outsideRoute({
  body: object({
    response: object({ id: string().required().max(1400) })
      .unknown(true)
      .required(),
  }),
  async handle({ event, database, body }) {
    requireHome()
    await knockFromAddress(event, database)
    await letDeviceIn(event, database, await ownerByPasskey(event, database, body.response as unknown as AuthenticationResponseJSON))
    return { signedIn: true }
  },
})
