import { and, desc, eq } from 'drizzle-orm'
import { canonicalBytes, digestOf } from '../../core/wrist/digest'
import type { Loss } from '../../core/wrist/fit'
import { fit } from '../../core/wrist/fit'
import type { Program } from '../../core/wrist/program'
import { listSlots, readBack, RefusedError, sendProgram } from '../../core/wrist/transfer'
import type { Database, OwnerTransaction } from '../db/client'
import { asOwner } from '../db/client'
import { holding, transfer } from '../db/schema'
import type { KeptWatch, TransferState } from '../../shared/api'
import { currentAthlete } from './athlete'
import { openLink } from './link'
import { notFound, Problem } from './problem'
import { loadSession } from './session'
import { asProblem, holdingsOf, loadWatch } from './wrist'

type TransferRow = typeof transfer.$inferSelect
const abandonedAfter = 20_000
/** Sendings going on in this process, by watch: a watch is sent one thing at a time. */
const underWay = new Map<string, Promise<void>>()

const stateOf = (row: TransferRow): TransferState => ({
  id: row.id, watchId: row.watchId, sessionId: row.sessionId, slot: row.slot, title: (JSON.parse(row.program) as Program).name,
  state: row.state, arrived: row.arrived, size: row.size, problem: row.problem, updatedAt: row.updatedAt.toISOString(),
})

/** What a session becomes on a watch, and what is lost on the way: the look before sending. */
export async function previewFit(tx: OwnerTransaction, watchId: string, sessionId: string) {
  const [kept, document, { athlete }] = [await loadWatch(tx, watchId), await loadSession(tx, sessionId), await currentAthlete(tx)]
  const named = { ...document.document, title: document.document.title ?? document.title }
  return { kept, document, ...fit(named, kept.profile, athlete, new Date().toISOString().slice(0, 10)) }
}

async function chooseSlot(tx: OwnerTransaction, kept: KeptWatch, sessionId: string): Promise<{ slot: number, expects: number }> {
  const states = await listSlots(openLink(kept.address)).catch(asProblem)
  const held = await holdingsOf(tx, kept.id)
  const own = held.find(entry => entry.holding.sessionId === sessionId)
  const taken = new Set(held.map(entry => entry.holding.slot))
  const found = states.find(state => own ? state.slot === own.holding.slot : state.digest === null && !taken.has(state.slot))
  if (!found) throw new Problem(409, `All ${states.length} slots of ${kept.name} are taken.`, 'watch', 'Clear one on the Wrist page first.')
  return { slot: found.slot, expects: found.generation }
}

/** Begins to send a session to a watch; the sending goes on by itself and can be followed and resumed. */
export async function beginTransfer(database: Database, owner: string, watchId: string, sessionId: string): Promise<TransferState & { losses: Loss[] }> {
  const { row, losses } = await asOwner(database, owner, async (tx) => {
    const { kept, document, program, losses, fits } = await previewFit(tx, watchId, sessionId)
    if (!fits) {
      throw new Problem(422, `${kept.name} cannot hold this session: ${losses.find(loss => loss.instead === null)!.what}.`, 'session',
        'Change the session, or choose another watch.', { losses })
    }
    const { slot, expects } = await chooseSlot(tx, kept, sessionId)
    const [row] = await tx.insert(transfer).values({
      watchId, sessionId, revision: document.number, slot, expects, program: JSON.stringify(program), digest: digestOf(program),
      state: 'sending', size: canonicalBytes(program).length,
    }).returning()
    return { row: row!, losses }
  })
  launch(database, owner, row)
  return { ...stateOf(row), losses }
}

/** Goes on with a sending that stopped. */
export async function resumeTransfer(database: Database, owner: string, id: string): Promise<TransferState> {
  const row = await asOwner(database, owner, async (tx) => {
    const current = await loadTransfer(tx, id)
    if (current.state === 'done') return current
    const [next] = await tx.update(transfer).set({ state: 'sending', problem: null, updatedAt: new Date() }).where(eq(transfer.id, id)).returning()
    return next!
  })
  if (row.state === 'sending') launch(database, owner, row)
  return stateOf(row)
}

async function loadTransfer(tx: OwnerTransaction, id: string): Promise<TransferRow> {
  const [row] = await tx.select().from(transfer).where(eq(transfer.id, id))
  if (!row) throw notFound('sending', 'params.id')
  return row
}

const isAbandoned = (row: TransferRow) =>
  row.state === 'sending' && !underWay.has(row.watchId) && Date.now() - row.updatedAt.getTime() > abandonedAfter

/** Where a sending stands; one that nobody carries on any more is said to have stopped. */
export async function followTransfer(tx: OwnerTransaction, id: string): Promise<TransferState> {
  const row = await loadTransfer(tx, id)
  return stateOf(isAbandoned(row) ? { ...row, state: 'stopped', problem: 'The server stopped while sending.' } : row)
}

/** The last sending to each slot that is not done: what can be resumed. */
export async function openTransfers(tx: OwnerTransaction, watchId: string): Promise<TransferState[]> {
  const rows = await tx.select().from(transfer).where(eq(transfer.watchId, watchId)).orderBy(desc(transfer.createdAt)).limit(50)
  const newest = rows.filter((row, index) => rows.findIndex(other => other.sessionId === row.sessionId) === index)
  return newest.filter(row => row.state !== 'done').map(row => stateOf(isAbandoned(row) ? { ...row, state: 'stopped' } : row))
}

function launch(database: Database, owner: string, row: TransferRow): void {
  const before = underWay.get(row.watchId) ?? Promise.resolve()
  const run = before.then(() => carry(database, owner, row)).catch(() => {}).finally(() => {
    if (underWay.get(row.watchId) === run) underWay.delete(row.watchId)
  })
  underWay.set(row.watchId, run)
}

async function carry(database: Database, owner: string, row: TransferRow): Promise<void> {
  const update = (values: Partial<TransferRow>) => asOwner(database, owner, tx =>
    tx.update(transfer).set({ ...values, updatedAt: new Date() }).where(eq(transfer.id, row.id)))
  try {
    const kept = await asOwner(database, owner, tx => loadWatch(tx, row.watchId))
    const exchange = openLink(kept.address)
    let saidAt = 0
    let arrived = row.arrived
    const receipt = await sendProgram(exchange, JSON.parse(row.program) as Program, row.slot, row.expects, (have) => {
      arrived = have
      if (Date.now() - saidAt < 200) return
      saidAt = Date.now()
      void update({ arrived }).catch(() => {})
    })
    const back = await readBack(exchange, row.slot)
    if (back.digest !== row.digest || back.generation !== receipt.generation) throw new Error('What was read back is not what was sent.')
    await asOwner(database, owner, async (tx) => {
      const values = {
        watchId: row.watchId, slot: row.slot, sessionId: row.sessionId, revision: row.revision, program: row.program, digest: row.digest,
        receipt: { ...receipt, readBackAt: new Date().toISOString() },
      }
      await tx.insert(holding).values(values).onConflictDoUpdate({ target: [holding.watchId, holding.slot], set: values })
      await tx.update(transfer).set({ state: 'done', arrived: row.size, problem: null, updatedAt: new Date() }).where(eq(transfer.id, row.id))
    })
  }
  catch (error) {
    const problem = error instanceof Problem ? error.problem : error instanceof RefusedError ? `The watch refused: ${error.detail}.` : (error as Error).message
    await update({ state: 'stopped', problem }).catch(() => {})
  }
}

/** The program with this digest, from what was sent to the owner's watches. */
export async function findProgram(tx: OwnerTransaction, digest: string): Promise<{ program: Program, sessionId: string } | null> {
  const [row] = await tx.select({ program: transfer.program, sessionId: transfer.sessionId }).from(transfer)
    .where(and(eq(transfer.digest, digest))).orderBy(desc(transfer.createdAt)).limit(1)
  return row ? { program: JSON.parse(row.program) as Program, sessionId: row.sessionId } : null
}
