import { slugOf } from '../../core/quantity/slug'
import { eq } from 'drizzle-orm'
import { validateWatchProfile } from '../../core/formats/validate'
import { profileNamed } from '../../core/wrist/program/profile'
import type { WatchProfile } from '../../core/wrist/program/profile'
import type { OwnerTransaction } from '../db/client'
import { watch } from '../db/schema'
import type { KeptWatch, LinkKind } from '../../shared/api'
import { notFound, Problem } from './problem'

const keptOf = (row: typeof watch.$inferSelect): KeptWatch => ({
  id: row.id,
  name: row.name,
  address: row.address,
  profile: row.profile,
  link: row.link,
  standing: row.standing,
  isPaired: row.key !== null || row.pendingKey !== null,
})

export async function loadWatch(tx: OwnerTransaction, id: string): Promise<KeptWatch> {
  const [row] = await tx.select().from(watch).where(eq(watch.id, id))
  if (!row) throw notFound('watch', 'params.id')
  return keptOf(row)
}

export async function listWatches(tx: OwnerTransaction): Promise<KeptWatch[]> {
  return (await tx.select().from(watch).orderBy(watch.name)).map(keptOf)
}

const addressShape = /^[a-z0-9-]+\.[a-z-]+$/
/** The part of an address that a watch's name gives. */
const addressName = (name: string) => slugOf(name, 40).replaceAll(/[._]/g, '-') || 'watch'

/** Takes a watch in, not paired yet: a new stand-in of a kind, or one that somebody else has used, by its address. */
export async function addWatch(
  tx: OwnerTransaction,
  owner: string,
  { name, profile, address }: { name: string; profile?: string; address?: string },
): Promise<KeptWatch> {
  const kind = profile ?? address?.split('.')[1] ?? ''
  const shipped = profileNamed(kind)
  if (!shipped)
    throw new Problem(
      422,
      `There is no kind of watch called "${kind}".`,
      profile ? 'body.profile' : 'body.address',
      'An address ends with its kind: quay.all-sport.',
    )
  const found = address ?? `${addressName(name)}-${owner.slice(0, 8)}.${kind}`
  if (!addressShape.test(found))
    throw new Problem(422, `"${found}" is no address of a watch.`, 'body.address', "It stands in the stand-in's glass: quay.all-sport.")
  const [row] = await tx.insert(watch).values({ name, address: found, profile: shipped }).onConflictDoNothing().returning()
  if (!row) throw new Problem(409, 'This watch is here already.', address ? 'body.address' : 'body.name', 'Give it another name.')
  return keptOf(row)
}

export interface WatchChanges {
  name?: string
  link?: LinkKind
  profile?: unknown
  standing?: Record<string, string>
}

/** Changes what is known of a watch: its name, the link used, what it can do, and the standing choices about losses. */
export async function changeWatch(tx: OwnerTransaction, id: string, { profile, ...changes }: WatchChanges): Promise<KeptWatch> {
  let valid: WatchProfile | undefined
  if (profile !== undefined) {
    const validated = validateWatchProfile(profile)
    if (!validated.ok) {
      const { pointer, problem } = validated.problems[0]!
      throw new Problem(
        422,
        `The profile does not fit its format: ${pointer} ${problem}.`,
        `body.profile${pointer}`,
        'docs/formats/watch.schema.json says what fits.',
      )
    }
    valid = validated.value
  }
  const values = { ...changes, ...(valid ? { profile: valid } : {}) }
  if (Object.keys(values).length === 0) return loadWatch(tx, id)
  const [row] = await tx.update(watch).set(values).where(eq(watch.id, id)).returning()
  if (!row) throw notFound('watch', 'params.id')
  return keptOf(row)
}

/** Forgets a watch here. What it holds, it goes on holding. */
export async function forgetWatch(tx: OwnerTransaction, id: string): Promise<void> {
  const gone = await tx.delete(watch).where(eq(watch.id, id)).returning({ id: watch.id })
  if (gone.length === 0) throw notFound('watch', 'params.id')
}
