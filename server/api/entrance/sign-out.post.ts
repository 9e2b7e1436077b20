import { takeCookieBack } from '../../services/entrance'
import { endDevice } from '../../services/device'
import { route } from '../../services/route'

export default route({
  async handle({ event, transaction, device }) {
    if (device) await transaction(tx => endDevice(tx, device))
    await takeCookieBack(event)
    return { signedOut: true }
  },
})
