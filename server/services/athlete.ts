import { desc } from 'drizzle-orm'
import type { Athlete } from '../../core/athlete/athlete'
import type { Standpoint } from '../../core/athlete/standpoint'
import { standpointAt } from '../../core/athlete/standpoint'
import type { AthleteRevision, KeptAthlete } from '../../shared/api'
import { validateAthlete } from '../../core/formats/validate'
import { digestOf } from '../../core/wrist/program/digest'
import type { OwnerTransaction } from '../db/client'
import { athleteRevision } from '../db/schema'
import { Problem } from './problem'

/** The athlete of today; before the first save, one with nothing but a name. */
export async function currentAthlete(tx: OwnerTransaction): Promise<KeptAthlete> {
  const [head] = await tx.select().from(athleteRevision).orderBy(desc(athleteRevision.number)).limit(1)
  if (!head) return { number: 0, athlete: { format: 'agonis.athlete', version: 1, name: 'Athlete', timeZone: 'Europe/Oslo', weekStart: 1 } }
  return { number: head.number, athlete: JSON.parse(head.document) as Athlete }
}

/** From where the owner's sessions are seen now: the athlete of today, on the day it is where they live. */
export async function currentStandpoint(tx: OwnerTransaction): Promise<Standpoint & { readonly day: string }> {
  const { number, athlete } = await currentAthlete(tx)
  return standpointAt(athlete, number, new Date())
}

const shownRevisions = 50

/** The latest accepted saves, newest first: what was true on which day. */
export async function athleteHistory(tx: OwnerTransaction): Promise<AthleteRevision[]> {
  const rows = await tx.select().from(athleteRevision).orderBy(desc(athleteRevision.number)).limit(shownRevisions)
  return rows.map(row => ({ number: row.number, savedAt: row.createdAt.toISOString(), athlete: JSON.parse(row.document) as Athlete }))
}

/** Saves the athlete as a new revision, if nobody else has saved since `base`. */
export async function saveAthlete(tx: OwnerTransaction, base: number, document: unknown): Promise<KeptAthlete> {
  const validated = validateAthlete(document)
  if (!validated.ok) {
    const { pointer, problem } = validated.problems[0]!
    throw new Problem(
      422,
      `The athlete document does not fit its format: ${pointer} ${problem}.`,
      `body.document${pointer}`,
      'docs/formats/athlete.schema.json says what fits.',
    )
  }
  const current = await currentAthlete(tx)
  if (current.number !== base) {
    throw new Problem(409, 'Your numbers were changed elsewhere meanwhile.', 'body.base', 'Look at both and keep one.', { theirs: current })
  }
  const number = base + 1
  const inserted = await tx
    .insert(athleteRevision)
    .values({ number, document: JSON.stringify(validated.value), digest: digestOf(validated.value) })
    .onConflictDoNothing()
    .returning({ number: athleteRevision.number })
  if (inserted.length === 0)
    throw new Problem(409, 'Your numbers were changed elsewhere meanwhile.', 'body.base', 'Load them again and keep one.')
  return { number, athlete: validated.value }
}
