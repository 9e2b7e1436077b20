import { isNull } from 'drizzle-orm'
import type { Database } from '../db/client'
import { asOwner } from '../db/client'
import { planEntry } from '../db/plan'
import { recording } from '../db/recordings'
import { session, watch } from '../db/schema'
import { currentStandpoint } from './athlete'
import { fillDemo, fillDemoWatch } from './demo-fill'
import { Problem } from './problem'
import { demoWatches } from '../../demo/log'

/**
 * Lets somebody who has nothing yet look round with the demo: all of it is there, or nothing. The watch gets its part where it is here
 * and paired.
 */
export async function lookRound(database: Database, owner: string): Promise<{ day: string }> {
  const day = await asOwner(database, owner, async tx => {
    const rows = [
      ...(await tx.select({ id: session.id }).from(session).where(isNull(session.removedAt)).limit(1)),
      ...(await tx.select({ id: recording.id }).from(recording).where(isNull(recording.removedAt)).limit(1)),
      ...(await tx.select({ id: planEntry.id }).from(planEntry).limit(1)),
    ]
    if (rows.length > 0)
      throw new Problem(409, 'There is something of yours here already.', 'request', 'The demo is for an account that has nothing yet.')
    const { day: today } = await currentStandpoint(tx)
    await fillDemo(tx, today)
    return today
  })
  const own = await asOwner(database, owner, tx => tx.select({ name: watch.name, key: watch.key }).from(watch))
  if (own.some(({ name, key }) => name === demoWatches[0].name && key !== null)) await fillDemoWatch(database, owner, day)
  return { day }
}
