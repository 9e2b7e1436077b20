import { requireHome } from '../../services/entrance'
import { registrationOptions } from '../../services/passkey'
import { route } from '../../services/route'

export default route({
  handle({ event, transaction, owner }) {
    requireHome()
    return transaction(tx => registrationOptions(event, tx, owner))
  },
})
