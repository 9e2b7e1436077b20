import type { Standpoint } from '../core/athlete/standpoint'
import type { Recording } from '../core/record/recording'
import type { Session } from '../core/session/document'
import type { StepPosition, Program } from '../core/wrist/program/program'
import { cursorAt } from '../core/wrist/engine/cursor'
import type { Button } from '../core/wrist/engine/engine'
import type { LossChoices } from '../core/wrist/fit/fit'
import { fit } from '../core/wrist/fit/fit'
import type { WatchProfile } from '../core/wrist/program/profile'
import type { Behaviour } from '../standin/body/behaviour'
import { rehearse } from '../standin/body/rehearse'
import type { Press } from '../standin/body/rehearse'
import { BadInput, readText } from './files'

function readJson(file: string): unknown {
  try {
    return JSON.parse(readText(file))
  } catch (error) {
    if (error instanceof BadInput) throw error
    throw new BadInput([{ problem: `${file} is not JSON` }])
  }
}

const isObject = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null && !Array.isArray(value)
const buttons: Button[] = ['press', 'skip', 'back', 'pause', 'resume', 'stop']
const isRound = (value: unknown) => Array.isArray(value) && value.every(round => Number.isInteger(round) && round > 0)

function isPress(entry: unknown): entry is Press {
  if (!isObject(entry) || typeof entry.t !== 'number' || !(entry.t >= 0)) return false
  return entry.button === 'jump' ? typeof entry.path === 'string' && isRound(entry.round) : buttons.includes(entry.button as Button)
}

function pressesOf(file: string | undefined): Press[] {
  if (file === undefined) return []
  const value = readJson(file)
  if (!Array.isArray(value)) throw new BadInput([{ problem: 'presses are a list of { "t": seconds, "button": name }', pointer: '' }])
  const bad = value.findIndex(entry => !isPress(entry))
  if (bad >= 0)
    throw new BadInput([
      {
        problem: `a press is { "t": seconds, "button": one of ${buttons.join(', ')} }, or a jump with "path" and "round"`,
        pointer: `/${bad}`,
      },
    ])
  return value as Press[]
}

const isShare = (value: unknown) => typeof value === 'number' && value >= 0 && value <= 1
const isSilence = (value: unknown) =>
  isObject(value) && typeof value.from === 'number' && typeof value.to === 'number' && value.from <= value.to
const isNumber = (value: unknown) => typeof value === 'number' && Number.isFinite(value)
const faults: Record<keyof Behaviour, [(value: unknown) => boolean, string]> = {
  bias: [value => isNumber(value) && Math.abs(value as number) <= 0.5, 'a share from -0.5 to 0.5'],
  startsFast: [isShare, 'a share from 0 to 1'],
  missesCue: [isShare, 'a chance from 0 to 1'],
  pressesTwice: [isShare, 'a chance from 0 to 1'],
  forgetsStop: [value => isNumber(value) && (value as number) >= 0, 'seconds'],
  silentHeart: [isSilence, '{ "from": seconds, "to": seconds }'],
  silentPosition: [isSilence, '{ "from": seconds, "to": seconds }'],
  silentPower: [isSilence, '{ "from": seconds, "to": seconds }'],
  hills: [
    value => isObject(value) && isNumber(value.percent) && isNumber(value.metres) && (value.metres as number) >= 1,
    '{ "percent": grade, "metres": from foot to foot }',
  ],
}

function faultsOf(file: string | undefined): Partial<Behaviour> {
  if (file === undefined) return {}
  const value = readJson(file)
  if (!isObject(value)) throw new BadInput([{ problem: `faults are an object of ${Object.keys(faults).join(', ')}`, pointer: '' }])
  for (const [name, given] of Object.entries(value)) {
    const known = faults[name as keyof Behaviour]
    if (!known) throw new BadInput([{ problem: `"${name}" is no fault; there are ${Object.keys(faults).join(', ')}`, pointer: `/${name}` }])
    if (!known[0](given)) throw new BadInput([{ problem: `${name} is ${known[1]}`, pointer: `/${name}` }])
  }
  return value as Partial<Behaviour>
}

/** Choices about losses: { "standing": { about: way }, "here": { "path kind": way } }. */
export function choicesOf(file: string | undefined): LossChoices {
  if (file === undefined) return {}
  const value = readJson(file)
  const isWays = (ways: unknown) =>
    ways === undefined || (isObject(ways) && Object.values(ways).every(distance => typeof distance === 'string'))
  if (!isObject(value) || !isWays(value.standing) || !isWays(value.here))
    throw new BadInput([{ problem: 'choices are { "standing": { about: way }, "here": { "path kind": way } }', pointer: '' }])
  return value as LossChoices
}

function placeOf(words: string | undefined, program: Program): StepPosition | undefined {
  if (words === undefined) return undefined
  const [path, round] = words.split('@')
  const place: StepPosition = { path: path!, round: round ? round.split('.').map(Number) : [] }
  if (!/^[1-9]\d*(\.[1-9]\d*)*$/.test(path!) || !isRound(place.round) || !cursorAt(program, place, null, { moving: 0, distance: 0 })) {
    throw new BadInput([{ problem: `there is no step ${words} to begin at; a round is said behind it: 2.1@4`, pointer: path! }])
  }
  return place
}

export interface RehearsalAsk {
  seed: number
  presses?: string
  faults?: string
  from?: string
  choices?: string
}

/** The recording that a simulated body brings home from a session, as it fits on a watch. */
export function rehearsalOf(
  session: Session,
  profile: WatchProfile,
  standpoint: Standpoint,
  { seed, presses, faults: behaviour, from, choices }: RehearsalAsk,
): Recording {
  const { program, losses } = fit(session, profile, standpoint, { choices: choicesOf(choices) })
  const against = losses.filter(loss => loss.instead === null && loss.kind !== 'repeat')
  if (against.length > 0) throw new BadInput(against.map(loss => ({ problem: loss.what, ...(loss.path ? { pointer: loss.path } : {}) })))
  return rehearse(program, standpoint.athlete, {
    seed,
    startedAt: `${standpoint.day ?? '2026-03-31'}T06:30:00.000Z`,
    timeZone: standpoint.athlete.timeZone,
    presses: pressesOf(presses),
    behaviour: faultsOf(behaviour),
    from: placeOf(from, program),
  })
}
