import { eq } from 'drizzle-orm'
import type { InferType } from 'yup'
import type { factsShape } from '../../shared/forms'
import type { LoggedRecording } from '../../shared/log'
import type { OwnerTransaction } from '../db/client'
import { recording } from '../db/recordings'
import { Problem } from './problem'
import { loadRecording } from './recording'

/** Puts right what a file said wrong: when it began, its sport; and names it. What a program led says itself when and what it was. */
export async function setFacts(tx: OwnerTransaction, id: string, facts: InferType<typeof factsShape>): Promise<LoggedRecording> {
  const { title, startedAt, sport } = facts
  if (title === undefined && startedAt === undefined && sport === undefined)
    throw new Problem(400, 'Nothing is put right.', 'body', 'Give a title, when it began, or its sport.')
  const { recording: kept } = await loadRecording(tx, id)
  if ((startedAt !== undefined || sport !== undefined) && kept.marks.some(({ kind }) => kind === 'step'))
    throw new Problem(409, 'A watch led this one: it knows when it was and what.', 'body', 'Its title can be changed.')
  if (sport !== undefined && sport !== kept.sport && kept.program !== undefined)
    throw new Problem(409, 'It stands beside a session of its sport.', 'body.sport', 'Say first that it had no plan.')
  const years = startedAt === undefined ? null : new Date(startedAt).getUTCFullYear()
  if (years !== null && (years < 1970 || years > 2199))
    throw new Problem(422, 'That is no year of a recording.', 'body.startedAt', 'From 1970 on.')
  await tx
    .update(recording)
    .set({
      ...(title === undefined ? {} : { title }),
      ...(startedAt === undefined ? {} : { startedAt: new Date(startedAt) }),
      ...(sport === undefined ? {} : { sport, burden: null, cord: null, learnt: null }),
    })
    .where(eq(recording.id, id))
  return loadRecording(tx, id)
}
