import { bringHome } from '../../core/wrist/link/desk'
import { greet } from '../../core/wrist/link/transfer'
import type { Database } from '../db/client'
import { clockAheadOf } from './clock'
import { deskStore } from './desk-store'
import { atWatch } from './lease'

/** Brings every finished recording of a watch home; the watch frees each only once it is stored here. */
export function collectRecordings(database: Database, owner: string, watchId: string): Promise<string[]> {
  return atWatch(database, owner, watchId, async turn => {
    const { clock } = await greet(turn.exchange)
    return bringHome(deskStore(database, owner, turn, clockAheadOf(clock)), turn.exchange, turn.messageBytes)
  })
}
