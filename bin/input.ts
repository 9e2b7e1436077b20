import { readFileSync } from 'node:fs'
import { extname } from 'node:path'
import type { Athlete } from '../core/athlete/athlete'
import { readRecordingCsv } from '../core/exchange/recording-csv'
import { readRecordingGpx } from '../core/exchange/recording-gpx'
import { validateAthlete, validateRecording, validateScore, validateSession, validateWatchProfile } from '../core/formats/validate'
import type { Validated } from '../core/formats/validate'
import type { Recording } from '../core/record/recording'
import { checkRecording } from '../core/record/recording'
import type { Score } from '../core/record/score'
import type { Standpoint } from '../core/athlete/standpoint'
import type { MessageHints } from '../core/script/reader/read-script'
import { readScript } from '../core/script/reader/read-script'
import { checkSession } from '../core/session/check'
import type { Session, SessionSport } from '../core/session/document'
import { limits } from '../core/session/limits'
import type { WatchProfile } from '../core/wrist/program/profile'
import { profileNamed, watchProfiles } from '../core/wrist/program/profile'

export interface Diagnostic {
  problem: string
  line?: number
  column?: number
  pointer?: string
}

/** Bad input: exit 1, each diagnostic a line of JSON on standard error. */
export class BadInput extends Error {
  constructor(readonly diagnostics: Diagnostic[]) {
    super(diagnostics[0]?.problem ?? 'bad input')
  }
}

export function readText(file: string): string {
  let bytes: Buffer
  try {
    bytes = readFileSync(file === '-' ? 0 : file)
  } catch {
    throw new BadInput([{ problem: `${file === '-' ? 'standard input' : file} cannot be read` }])
  }
  if (bytes.length > limits.uploadBytes) throw new BadInput([{ problem: `${file} is larger than 50 MB, the limit` }])
  return bytes.toString('utf8')
}

function parseJson(text: string, file: string): unknown {
  try {
    return JSON.parse(text) as unknown
  } catch (error) {
    throw new BadInput([{ problem: `${file} is not JSON: ${(error as Error).message}` }])
  }
}

function accepted<T>(validated: Validated<T>): T {
  if (!validated.ok) throw new BadInput(validated.problems)
  return validated.value
}

export function readAthlete(file: string): Athlete {
  return accepted(validateAthlete(parseJson(readText(file), file)))
}

/** A watch profile: one of the four by name, or a file. */
export function readWatch(name: string): WatchProfile {
  const shipped = profileNamed(name)
  if (shipped) return shipped
  if (/^[a-z-]+$/.test(name))
    throw new BadInput([{ problem: `no watch is called ${name}: ${watchProfiles.map(profile => profile.name).join(', ')}, or a file` }])
  return accepted(validateWatchProfile(parseJson(readText(name), name)))
}

function soundRecording(value: unknown): Recording {
  const recording = accepted(validateRecording(value))
  const fault = checkRecording(recording)
  if (fault) throw new BadInput([{ problem: fault, pointer: '/samples' }])
  return recording
}

export const readRecording = (file: string): Recording => soundRecording(parseJson(readText(file), file))

/** A recording in any of its forms, with what its form held beyond one. */
export function readAnyRecording(file: string, sport?: SessionSport): { recording: Recording; left: string[] } {
  const extension = extname(file).toLowerCase()
  if (extension !== '.gpx' && extension !== '.csv') return { recording: readRecording(file), left: [] }
  const taken = extension === '.gpx' ? readRecordingGpx(readText(file), { sport }) : readRecordingCsv(readText(file), { sport })
  if (!taken.ok) throw new BadInput([{ problem: `${file}: ${taken.problem}`, ...(taken.line === undefined ? {} : { line: taken.line }) }])
  return { recording: soundRecording(taken.recording), left: taken.left }
}

/** Whether a file holds a recording and no session, told by its extension or its document. */
export function holdsRecording(file: string): boolean {
  const extension = extname(file).toLowerCase()
  if (extension === '.gpx' || extension === '.csv') return true
  return extension === '.json' && /"format"\s*:\s*"agonis\.recording"/.test(readText(file))
}

/** A score as `agonis score` gave it. */
export function readScore(file: string): Score {
  return accepted(validateScore(parseJson(readText(file), file)))
}

function goodSession(value: unknown, pointer: string): Session {
  const validated = validateSession(value)
  if (!validated.ok) throw new BadInput(validated.problems.map(problem => ({ ...problem, pointer: pointer + problem.pointer })))
  const problems = checkSession(validated.value).filter(problem => problem.code !== 'unread')
  if (problems.length > 0)
    throw new BadInput(problems.map(({ problem, path }) => ({ problem, ...(path ? { pointer: `${pointer}/items/${path}` } : {}) })))
  return validated.value
}

const pastLimits = ['too-long', 'steps', 'nesting', 'duration', 'title']

/**
 * A session document, what `read` gave, or a script.
 *
 * @param lenient takes a script with lines that could not be read: they stand as unread items
 */
export function readSessions(file: string, standpoint: Standpoint, hints: MessageHints = {}, lenient = false): Session[] {
  const text = readText(file)
  if (/^\s*[{[]/.test(text)) {
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

export function readOneSession(file: string, standpoint: Standpoint, hints: MessageHints = {}): Session {
  const sessions = readSessions(file, standpoint, hints)
  if (sessions.length !== 1) throw new BadInput([{ problem: `${file} holds ${sessions.length} sessions; this takes one` }])
  return sessions[0]!
}
