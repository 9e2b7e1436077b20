import { desc, eq } from 'drizzle-orm'
import type { Program } from '../../core/wrist/program/program'
import type { OwnerTransaction } from '../db/client'
import { transfer } from '../db/schema'

/** The program with this digest, from what was sent to the owner's watches. */
export async function findProgram(tx: OwnerTransaction, digest: string): Promise<{ program: Program; sessionId: string } | null> {
  const [row] = await tx
    .select({ program: transfer.program, sessionId: transfer.sessionId })
    .from(transfer)
    .where(eq(transfer.digest, digest))
    .orderBy(desc(transfer.createdAt))
    .limit(1)
  return row ? { program: JSON.parse(row.program) as Program, sessionId: row.sessionId } : null
}
