import { entranceKind, isByName, reachedAt } from '../../services/entrance'
import { listDevices, listPasskeys } from '../../services/device'
import { route } from '../../services/route'
import { signInName } from '../../services/sign-in'

export default route({
  handle: ({ event, transaction, device }) =>
    transaction(async tx => ({
      kind: entranceKind(),
      hasPasskeys: entranceKind() === 'home' && isByName(event),
      signInName: await signInName(tx),
      address: reachedAt(event),
      trustAt: process.env.AGONIS_TRUST_AT ?? null,
      fingerprint: process.env.AGONIS_FINGERPRINT ?? null,
      devices: await listDevices(tx, device),
      passkeys: await listPasskeys(tx),
    })),
})
