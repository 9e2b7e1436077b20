import { extname } from 'node:path'
import type { Athlete } from '../core/athlete/athlete'
import { readRecordingText } from '../core/exchange/recording-file'
import { validateAthlete, validateRecording, validateScore, validateSession, validateWatchProfile } from '../core/formats/validate'
import type { Validated } from '../core/formats/validate'
import type { Recording } from '../core/record/recording'
import { checkRecording } from '../core/record/recording'
import type { Score } from '../core/record/score'
import { checkSession } from '../core/session/check'
import type { Session, SessionSport } from '../core/session/document'
import { saySessionProblem } from '../core/words/session-problems'
import type { WatchProfile } from '../core/wrist/program/profile'
import { profileNamed, watchProfiles } from '../core/wrist/program/profile'
import { BadInput, parseJson, readText } from './files'

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
  const taken = readRecordingText(extension === '.gpx' ? 'gpx' : 'csv', readText(file), { sport })
  if (!taken.ok) throw new BadInput([{ problem: `${file}: ${taken.problem}`, ...(taken.line === undefined ? {} : { line: taken.line }) }])
  const further = taken.others.map(({ recording }) => `a recording of another sport, ${recording.sport}`)
  return { recording: soundRecording(taken.recording), left: [...taken.left, ...further] }
}

/** A score as `agonis score` gave it. */
export function readScore(file: string): Score {
  return accepted(validateScore(parseJson(readText(file), file)))
}

/** A session document that fits its schema and stands no check against it. */
export function goodSession(value: unknown, pointer: string): Session {
  const validated = validateSession(value)
  if (!validated.ok) throw new BadInput(validated.problems.map(problem => ({ ...problem, pointer: pointer + problem.pointer })))
  const problems = checkSession(validated.value).filter(problem => problem.code !== 'unread')
  if (problems.length > 0)
    throw new BadInput(
      problems.map(problem => ({
        problem: saySessionProblem(problem),
        ...(problem.path ? { pointer: `${pointer}/items/${problem.path}` } : {}),
      })),
    )
  return validated.value
}
