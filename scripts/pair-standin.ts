import type { Glass } from '../shared/api'
import type { Database } from '../server/db/client'
import { asOwner } from '../server/db/client'
import { pairByCode } from '../server/services/pairing'
import { atStandin } from '../server/services/standin'
import { loadWatch } from '../server/services/watch'

/** Pairs a stand-in watch as a person does: holds its middle button, reads the code from its glass and types it in. */
export async function pairStandin(database: Database, owner: string, watchId: string): Promise<void> {
  const { address } = await asOwner(database, owner, tx => loadWatch(tx, watchId))
  const shown = (await (await atStandin(address, 'POST', 'button', { button: 'middle', hold: true })).json()) as Glass
  await pairByCode(database, owner, watchId, shown.code!)
}
