import Papa from 'papaparse'
import type { Standpoint } from '../athlete/standpoint'
import { reckon } from '../reckon/reckon'
import { sheetRows } from '../reckon/sheet'
import type { Session } from '../session/document'

/** The rows of a session as a table for a spreadsheet: where each stands, its words and what it comes to. */
export function sessionCsv(session: Session, standpoint: Standpoint): string {
  const rows = sheetRows(session, reckon(session, standpoint), standpoint)
  return (
    Papa.unparse(
      {
        fields: ['path', 'depth', 'starts at (s)', 'metres at', 'words', 'comes to'],
        data: rows.map(row => [
          row.path,
          row.depth,
          row.startsAt ?? '',
          row.metresAt === null ? '' : Math.round(row.metresAt),
          row.words,
          row.comesTo,
        ]),
      },
      { newline: '\n' },
    ) + '\n'
  )
}
