import { randomBytes } from 'node:crypto'
import { eq } from 'drizzle-orm'
import { openLine, SilentError } from '../../core/wrist/link/line'
import { pairWatch, WrongCodeError } from '../../core/wrist/link/transfer'
import type { Database } from '../db/client'
import { asOwner } from '../db/client'
import { watch } from '../db/schema'
import type { KeptWatch } from '../../shared/api'
import { asProblem } from './lease'
import { openLink } from './link'
import { Problem } from './problem'
import { loadWatch } from './watch'

/** Agrees on a key with a watch by the six digits on its glass, and keeps it. */
export async function pairByCode(database: Database, owner: string, id: string, code: string): Promise<KeptWatch> {
  const kept = await asOwner(database, owner, tx => loadWatch(tx, id))
  const open = openLine(openLink(kept.address, kept.link), { watch: kept.address, key: null, firstCounter: Date.now() })
  const change = (values: Partial<typeof watch.$inferInsert>) =>
    asOwner(database, owner, tx => tx.update(watch).set(values).where(eq(watch.id, id)))
  let agreed: string | null = null
  try {
    await pairWatch(
      open,
      kept.address,
      owner,
      code,
      count => new Uint8Array(randomBytes(count)),
      async key => {
        agreed = key
        await change({ pendingKey: key })
      },
    )
    await change({ key: agreed, pendingKey: null })
  } catch (error) {
    if (error instanceof WrongCodeError)
      throw new Problem(422, 'That is not the code on the watch.', 'body.code', 'Read it again; after three tries the watch shows another.')
    if (error instanceof SilentError && agreed !== null)
      throw new Problem(
        502,
        'The watch fell silent just at the end of pairing.',
        'link',
        'Look whether it works; if not, pair it once more.',
      )
    throw asProblem(error)
  }
  return asOwner(database, owner, tx => loadWatch(tx, id))
}
