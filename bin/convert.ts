import { readFileSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { extname } from 'node:path'
import type { Standpoint } from '../core/athlete/standpoint'
import type { CardSize } from '../core/card/card'
import { cardPdf } from '../core/card/pdf'
import { sessionCard } from '../core/card/session-card'
import { cardSvg } from '../core/card/svg'
import { recordingCsv } from '../core/exchange/write-csv'
import { recordingGpx } from '../core/exchange/write-gpx'
import { sessionCsv } from '../core/exchange/session-csv'
import { sessionIcs } from '../core/exchange/session-ics'
import { printSessions } from '../core/script/print'
import type { Session, SessionSport } from '../core/session/document'
import { readAnyRecording } from './documents'
import { BadInput } from './files'
import { readSessions } from './input'

interface ConvertOptions {
  standpoint: Standpoint
  size?: CardSize
  withCode: boolean
}

const letterFile = (name: string) =>
  new Uint8Array(
    readFileSync(
      createRequire(import.meta.url).resolve(`@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-${name}-normal.woff`),
    ),
  )

const ownLetters = () => ({ regular: ['latin-400', 'latin-ext-400'].map(letterFile), bold: ['latin-700', 'latin-ext-700'].map(letterFile) })

function onlyOne(sessions: readonly Session[], extension: string): Session {
  if (sessions.length !== 1) throw new BadInput([{ problem: `${sessions.length} sessions; a ${extension} file holds one` }])
  return sessions[0]!
}

/**
 * Writes a recording in another form, told by the extension of the file: .json .gpx .csv
 *
 * @returns what the forms could not hold
 */
export function convertRecording(from: string, to: string, sport?: SessionSport): string[] {
  const { recording, left } = readAnyRecording(from, sport)
  const extension = extname(to).toLowerCase()
  if (extension === '.json') {
    writeFileSync(to, `${JSON.stringify(recording)}\n`)
    return left
  }
  if (extension !== '.gpx' && extension !== '.csv')
    throw new BadInput([{ problem: `${to}: a recording is written as .json, .gpx or .csv` }])
  const written = extension === '.gpx' ? recordingGpx(recording) : recordingCsv(recording)
  if (!written)
    throw new BadInput([
      { problem: `${from}: no sample has a position, and a .gpx file holds positions only; write it as .csv`, pointer: '/samples/lat' },
    ])
  writeFileSync(to, written.text)
  return [...left, ...written.left]
}

/** Writes a session in another form, told by the extension of the file: .json .txt .csv .ics .svg .pdf */
export async function convert(from: string, to: string, { standpoint, size = 'a4', withCode }: ConvertOptions): Promise<void> {
  const extension = extname(to).toLowerCase()
  const sessions = await readSessions(from, standpoint, {}, extension === '.txt' || extension === '.json')
  switch (extension) {
    case '.txt':
      return writeFileSync(to, printSessions(sessions))
    case '.json':
      return writeFileSync(to, `${JSON.stringify(sessions.length === 1 ? sessions[0] : { sessions }, null, 2)}\n`)
    case '.csv':
      return writeFileSync(to, sessionCsv(onlyOne(sessions, extension), standpoint))
    case '.svg':
      return writeFileSync(to, cardSvg(sessionCard(onlyOne(sessions, extension), standpoint, { size, withCode }), 0, ownLetters()))
    case '.ics': {
      const calendar = sessionIcs(onlyOne(sessions, extension), standpoint)
      if (calendar === null) throw new BadInput([{ problem: 'a calendar needs a date: day 2026-03-31', pointer: '/day' }])
      return writeFileSync(to, calendar)
    }
    case '.pdf':
      return writeFileSync(to, await cardPdf(sessionCard(onlyOne(sessions, extension), standpoint, { size, withCode }), ownLetters()))
    default:
      throw new BadInput([{ problem: `${to}: a session is written as .json, .txt, .csv, .ics, .svg or .pdf` }])
  }
}
