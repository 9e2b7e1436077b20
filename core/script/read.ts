import type { Session } from '../session/document'
import { checkSession } from '../session/check'
import { limits } from '../session/limits'
import type { Remark } from './remark'
import type { ReadOptions, RowPlace } from './read/options'
import { readSession } from './read/session'

export type { ReadOptions, RowPlace } from './read/options'

export interface ReadResult {
  sessions: Session[]
  remarks: Remark[]
  /** For each session, where each item stands in the text, by path. */
  places: Map<string, RowPlace>[]
}

const byteLength = (text: string) => new TextEncoder().encode(text).length

/**
 * Reads a script, canonical or as people write it, into sessions. Never throws and never guesses silently:
 * whatever was not canonical has a remark, and a line nobody can read is kept as an unread item.
 *
 * Laws: `print(read(t))` equals `t` for canonical `t`; canonical text yields no note; every remark's stretch lies in the text.
 *
 * @param text up to 1 MB; sessions are parted by a line `---`
 */
export function readScript(text: string, options: ReadOptions = {}): ReadResult {
  const result: ReadResult = { sessions: [], remarks: [], places: [] }
  if (text.length > limits.textBytes || byteLength(text) > limits.textBytes) {
    result.remarks.push({
      line: 1, column: 1, length: 0, level: 'error', code: 'too-long', said: '', fixes: [],
      readAs: 'text over 1 MB is not read; part it into several',
    })
    return result
  }
  const lines = text.split(/\r\n|\n|\r/)
  let start = 0
  for (let index = 0; index <= lines.length; index++) {
    if (index < lines.length && lines[index]!.trim() !== '---') continue
    const own = lines.slice(start, index)
    if (own.some(line => line.trim() !== '') || (index === lines.length && result.sessions.length === 0)) {
      const { session, remarks, places } = readSession(own, start + 1, options)
      result.sessions.push(session)
      result.places.push(places)
      result.remarks.push(...remarks, ...limitRemarks(session, places, start + 1))
    }
    start = index + 1
  }
  return result
}

function limitRemarks(session: Session, places: Map<string, RowPlace>, firstLine: number): Remark[] {
  return checkSession(session).filter(problem => problem.code !== 'unread').map((problem) => {
    const place = problem.path === undefined ? undefined : places.get(problem.path)
    return {
      line: place?.line ?? firstLine, column: place?.column ?? 1, length: place?.length ?? 0,
      level: 'error', code: problem.code, said: place?.said ?? '', readAs: problem.problem, fixes: [],
    }
  })
}
