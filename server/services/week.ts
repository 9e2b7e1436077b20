import { randomUUID } from 'node:crypto'
import { isDate } from '../../core/quantity/day'
import { printSession } from '../../core/script/print'
import { readScript } from '../../core/script/reader/read-script'
import type { PlanRow } from '../../shared/api'
import type { OwnerTransaction } from '../db/client'
import { currentStandpoint } from './athlete'
import { planSession } from './plan'
import { Problem } from './problem'
import { saveSession } from './session'

/** What stands on the shelf alone. */
const onNoDay = {
  id: '',
  day: '',
  at: 0,
  kind: 'session',
  name: null,
  minutes: null,
  effort: null,
  seconds: null,
  metres: null,
  cord: null,
  burden: null,
} as const

/**
 * Fills a week from a message with its days: each session is shelved with the message as its source and put on its day.
 * All of it or nothing; a session without a day, or with a line that nobody could read, is shelved all the same.
 */
export async function fillWeek(tx: OwnerTransaction, week: string, text: string): Promise<PlanRow[]> {
  const { sessions } = readScript(text, await currentStandpoint(tx), { week })
  const filled = sessions.filter(session => session.items.length > 0)
  if (filled.length === 0)
    throw new Problem(422, 'Nothing in the text reads as a session.', 'body.text', 'Begin each day with its name: Tue: 6 x 800 / 90 s jog.')
  const rows: PlanRow[] = []
  for (const document of filled) {
    const kept = await saveSession(tx, randomUUID(), 0, printSession(document), { source: text })
    if (isDate(document.day)) rows.push(await planSession(tx, kept.id, document.day))
    else rows.push({ ...onNoDay, sessionId: kept.id, title: kept.title, sport: document.sport })
  }
  return rows
}
