import Ajv2020 from 'ajv/dist/2020.js'
import type { ErrorObject, ValidateFunction } from 'ajv/dist/2020.js'
import addFormats from 'ajv-formats'
import athleteSchema from '../../docs/formats/athlete.schema.json'
import scoreSchema from '../../docs/formats/score.schema.json'
import recordingSchema from '../../docs/formats/recording.schema.json'
import programSchema from '../../docs/formats/program.schema.json'
import sessionSchema from '../../docs/formats/session.schema.json'
import watchSchema from '../../docs/formats/watch.schema.json'
import type { Athlete } from '../athlete/athlete'
import { athleteProblem } from '../athlete/check-athlete'
import type { Recording } from '../record/recording'
import type { Score } from '../record/score'
import type { Session } from '../session/document'
import type { WatchProfile } from '../wrist/program/profile'
import type { Program } from '../wrist/program/program'

/** A fault in a document: where, as a JSON pointer, and what. */
export interface FormatProblem {
  pointer: string
  problem: string
}
export type Validated<T> = { ok: true; value: T } | { ok: false; problems: FormatProblem[] }

const ajv = new Ajv2020({ allErrors: false, discriminator: true, strict: false })
addFormats(ajv, ['date', 'date-time'])
ajv.addSchema(sessionSchema)

function say(error: ErrorObject): FormatProblem {
  const pointer = error.instancePath || '/'
  const params = error.params as Record<string, unknown>
  switch (error.keyword) {
    case 'additionalProperties':
      return { pointer, problem: `has a field that is not known: "${String(params.additionalProperty)}"` }
    case 'required':
      return { pointer, problem: `lacks the field "${String(params.missingProperty)}"` }
    case 'enum':
      return { pointer, problem: `is none of ${(params.allowedValues as unknown[]).join(', ')}` }
    case 'const':
      return { pointer, problem: `is not ${JSON.stringify(params.allowedValue)}` }
    case 'discriminator':
      return { pointer, problem: `has a "${String(params.tag)}" that is not known: ${JSON.stringify(params.tagValue)}` }
    default:
      return { pointer, problem: error.message ?? 'does not fit the format' }
  }
}

function validator<T>(schema: object): (value: unknown) => Validated<T> {
  let compiled: ValidateFunction<T> | undefined
  return value => {
    compiled ??= ajv.compile<T>(schema)
    return compiled(value) ? { ok: true, value } : { ok: false, problems: (compiled.errors ?? []).slice(0, 5).map(say) }
  }
}

/** Checks a value against `docs/formats/session.schema.json`; the semantic check is `checkSession`. */
export const validateSession = validator<Session>(sessionSchema)
/** Checks a value against `docs/formats/athlete.schema.json` alone: what was once accepted stays. */
export const validateKeptAthlete = validator<Athlete>(athleteSchema)
/** Checks a value against `docs/formats/athlete.schema.json`, and that its numbers do not contradict each other. */
export function validateAthlete(value: unknown): Validated<Athlete> {
  const validated = validateKeptAthlete(value)
  const problem = validated.ok ? athleteProblem(validated.value) : null
  return problem ? { ok: false, problems: [problem] } : validated
}
/** Checks a value against `docs/formats/watch.schema.json`. */
export const validateWatchProfile = validator<WatchProfile>(watchSchema)
/** Checks a value against `docs/formats/program.schema.json`. */
export const validateProgram = validator<Program>(programSchema)
/** Checks a value against `docs/formats/recording.schema.json`. */
export const validateRecording = validator<Recording>(recordingSchema)
/** Checks a value against `docs/formats/score.schema.json`. */
export const validateScore = validator<Score>(scoreSchema)
