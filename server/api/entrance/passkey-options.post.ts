import { requireHome } from '../../services/entrance'
import { authenticationOptions } from '../../services/passkey'
import { outsideRoute } from '../../services/route'

export default outsideRoute({
  handle({ event }) {
    requireHome()
    return authenticationOptions(event)
  },
})
