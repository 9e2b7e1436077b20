import type { Database } from '../db/client'
import { asOwner } from '../db/client'
import { watch } from '../db/schema'
import { currentStandpoint } from './athlete'
import { fillDemo, fillDemoWatch } from './demo-fill'
import { hasNothing } from './has-nothing'
import { Problem } from './problem'
import { demoWatches } from '../../demo/log'

/**
 * Lets somebody who has nothing yet look round with the demo: all of it is there, or nothing. The watch gets its part where it is here
 * and paired.
 */
export async function lookRound(database: Database, owner: string): Promise<{ day: string }> {
  const day = await asOwner(database, owner, async tx => {
    if (!(await hasNothing(tx)))
      throw new Problem(409, 'There is something of yours here already.', 'request', 'The demo is for an account that has nothing yet.')
    const { day: today } = await currentStandpoint(tx)
    await fillDemo(tx, today)
    return today
  })
  const own = await asOwner(database, owner, tx => tx.select({ name: watch.name, key: watch.key }).from(watch))
  if (own.some(({ name, key }) => name === demoWatches[0].name && key !== null)) await fillDemoWatch(database, owner, day)
  return { day }
}
