import { encode } from 'uqr'
import type { Standpoint } from '../athlete/standpoint'
import { unitsOf } from '../athlete/athlete'
import { sayDistance } from '../quantity/distance'
import { sayToTheMinute } from '../quantity/time'
import { reckon } from '../reckon/reckon'
import { sheetRows } from '../reckon/sheet'
import { printSession } from '../script/print'
import type { Session } from '../session/document'
import { titleOf } from '../script/title'
import { asWillRun } from './as-will-run'
import type { Card, CardSize, Measure } from './card'
import { layCard } from './card'

export interface SessionCardOptions {
  size: CardSize
  withCode?: boolean
  measure?: Measure
}

/** More than a code of a size that a phone reads from paper can hold, in bytes. */
export const codeBytesAtMost = 1000

const byteLength = (text: string) => new TextEncoder().encode(text).length

/** Whether a QR code can hold the session's script. */
export const fitsCode = (session: Session): boolean => byteLength(printSession(session)) <= codeBytesAtMost

/** A session on paper as it will run: what it comes to on top, its rows below, and its script as a QR code where asked and it fits. */
export function sessionCard(written: Session, standpoint: Standpoint, { size, withCode, measure }: SessionCardOptions): Card {
  const { session, between } = asWillRun(written)
  const reckoning = reckon(session, standpoint)
  const unit = session.sport === 'multi' ? 'km' : unitsOf(standpoint.athlete)[session.sport]
  const { seconds, metres } = reckoning
  const summary = [
    session.sport,
    session.day,
    seconds.likely === null ? null : `about ${sayToTheMinute(seconds.likely)}`,
    metres.likely === null || metres.likely === 0 ? null : `about ${sayDistance(metres.likely, unit)}`,
    session.ceiling ? `ceiling ${session.ceiling.above} ${session.ceiling.unit ?? 'bpm'}` : null,
  ]
    .filter(Boolean)
    .join(' \u00B7 ')
  const code = withCode && fitsCode(written) ? encode(printSession(written), { ecc: 'L', border: 2 }).data : undefined
  const rows = sheetRows(session, reckoning, standpoint).map(row =>
    between.has(row.path) ? { ...row, words: `between: ${row.words}` } : row,
  )
  return layCard({ title: titleOf(written), summary, rows, ...(code ? { code } : {}) }, size, measure)
}
