import { extname } from 'node:path'
import type { Standpoint } from '../core/athlete/standpoint'
import type { MessageHints } from '../core/script/reader/options'
import { readScript } from '../core/script/reader/read-script'
import type { Session } from '../core/session/document'
import { BadInput, parseJson, readText } from './files'

/** Whether a file holds a recording and no session, told by its extension or its document. */
export function holdsRecording(file: string): boolean {
  const extension = extname(file).toLowerCase()
  if (extension === '.gpx' || extension === '.csv') return true
  return extension === '.json' && /"format"\s*:\s*"agonis\.recording"/.test(readText(file))
}

const pastLimits = ['too-long', 'steps', 'nesting', 'duration', 'title']

/**
 * A session document, what `read` gave, or a script.
 *
 * @param lenient takes a script with lines that could not be read: they stand as unread items
 */
export async function readSessions(file: string, standpoint: Standpoint, hints: MessageHints = {}, lenient = false): Promise<Session[]> {
  const text = readText(file)
  if (/^\s*[{[]/.test(text)) {
    const { goodSession } = await import('./documents')
    const value = parseJson(text, file)
    if (typeof value === 'object' && value !== null && 'sessions' in value && Array.isArray(value.sessions)) {
      return value.sessions.map((session, index) => goodSession(session, `/sessions/${index}`))
    }
    return [goodSession(value, '')]
  }
  const { sessions, remarks } = readScript(text, standpoint, hints)
  const isFatal = (code: string) => (lenient ? pastLimits.includes(code) : code !== 'unread')
  const errors = remarks.filter(remark => remark.level === 'error' && isFatal(remark.code))
  if (errors.length > 0)
    throw new BadInput(
      errors.map(error => ({ problem: `${error.said ? `"${error.said}": ` : ''}${error.readAs}`, line: error.line, column: error.column })),
    )
  return sessions
}

export async function readOneSession(file: string, standpoint: Standpoint, hints: MessageHints = {}): Promise<Session> {
  const sessions = await readSessions(file, standpoint, hints)
  if (sessions.length !== 1) throw new BadInput([{ problem: `${file} holds ${sessions.length} sessions; this takes one` }])
  return sessions[0]!
}
