import { and, eq } from 'drizzle-orm'
import type { Session } from '../../core/session/document'
import { digestOf } from '../../core/wrist/program/digest'
import type { Program } from '../../core/wrist/program/program'
import type { OwnerTransaction } from '../db/client'
import { program, revision } from '../db/schema'

/** A program as it is kept, with the wording of the session that it was made from. */
export interface KeptProgram {
  program: Program
  digest: string
  sessionId: string | null
  revision: number | null
  /** Made out of what was sent, with the buttons of a watch. */
  changedThere: boolean
}

/** Keeps a program once, however many slots, sendings and recordings refer to it; the first to bring it says where it came from. */
export async function keepProgram(
  tx: OwnerTransaction,
  document: Program,
  from: { sessionId: string | null; revision: number | null; changedThere?: boolean },
): Promise<string> {
  const digest = digestOf(document)
  await tx
    .insert(program)
    .values({ digest, name: document.name, document: JSON.stringify(document), ...from })
    .onConflictDoNothing()
  return digest
}

/** The owner's program with this digest; null where none is known. */
export async function findProgram(tx: OwnerTransaction, digest: string): Promise<KeptProgram | null> {
  const [row] = await tx.select().from(program).where(eq(program.digest, digest))
  return row
    ? {
        program: JSON.parse(row.document) as Program,
        digest,
        sessionId: row.sessionId,
        revision: row.revision,
        changedThere: row.changedThere,
      }
    : null
}

/**
 * The session in the words of the day a program was made from it: by the revision it was made from, else by its digest; null where
 * no wording here is the one.
 */
export async function sessionOf(tx: OwnerTransaction, kept: KeptProgram): Promise<Session | null> {
  const { sessionId, revision: number } = kept
  const made =
    sessionId === null || number === null
      ? []
      : await tx
          .select({ document: revision.document })
          .from(revision)
          .where(and(eq(revision.sessionId, sessionId), eq(revision.number, number)))
  const [row] =
    made.length > 0
      ? made
      : await tx.select({ document: revision.document }).from(revision).where(eq(revision.digest, kept.program.from.session)).limit(1)
  return row ? (JSON.parse(row.document) as Session) : null
}
