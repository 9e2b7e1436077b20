import type { Athlete } from '../athlete/athlete'
import type { Edit } from '../edit/edit'
import { shiftTarget } from '../edit/harder'
import type { Shift } from '../edit/harder'
import { itemAt } from '../edit/item-path'
import { isPaceUnit } from '../quantity/intensity'
import { formatTime, sayDuration } from '../quantity/time'
import { printEnd } from '../script/print'
import { printTarget } from '../script/print-target'
import type { Session, Step, Target } from '../session/document'
import { isBandTarget, isEffortTarget } from '../session/document'
import type { HeartCourse } from './heart-response'
import type { Stretch } from './intensity'
import { criticalOf } from './intensity'
import type { ReserveCourse } from './reserve'
import { reserveThrough } from './reserve'

export type Reach = 'easy' | 'within' | 'hard' | 'edge' | 'beyond'

/** A change that would bring the session within reach, reckoned and not canned. */
export interface Proposal { label: string, edits: Edit[], leaves: number }

export interface Verdict {
  reach: Reach
  said: string
  proposals: Proposal[]
}

const edges = { beyond: 0, edge: 0.12, hard: 0.4, within: 0.9 } as const
/** What a proposal leaves of the reserve. */
const wanted = 0.1

const ordinals = ['zeroth', 'first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth', 'eleventh', 'twelfth']
export function ordinal(count: number): string {
  const ending = count % 100 >= 11 && count % 100 <= 13 ? 'th' : ['th', 'st', 'nd', 'rd'][count % 10] ?? 'th'
  return ordinals[count] ?? `${count}${ending}`
}

/** Names a step by its place among the steps of its path: `the fourth repeat`, `the second round's 400 m`. */
function nameStep(session: Session, path: string, round: readonly number[], stretches: readonly Stretch[]): string {
  const alike = stretches.filter(stretch => stretch.path === path)
  const position = alike.findIndex(stretch => stretch.round.join('.') === round.join('.')) + 1
  const item = itemAt(session, path)
  const words = item?.kind === 'step' ? printEnd(item.end) : 'step'
  return alike.length > 1 ? `the ${ordinal(position)} ${words}` : `the ${words}`
}

const isAbove = (stretch: Stretch) => stretch.role === 'work' && (stretch.from > 1 || stretch.to > 1)

/** The least of the balance with other intensities or lengths; what the proposals are tried with. */
const leastWith = (stretches: readonly Stretch[], rate: number, change: (stretch: Stretch) => Stretch) =>
  reserveThrough(stretches.map(change), rate).least.share

function smallest(most: number, step: number, fits: (amount: number) => boolean): number | null {
  if (!fits(most)) return null
  let [low, high] = [0, Math.round(most / step)]
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2)
    if (fits(middle * step)) high = middle
    else low = middle
  }
  return high * step
}

interface Easing { shift: Shift, words: string, by: (share: number) => number }

/** Easing by an amount, in the unit that the target is said in. */
function easingFor(target: Target, athlete: Athlete, stretch: Stretch): ((amount: number) => Easing) | null {
  const { speed, power } = criticalOf(athlete, stretch.sport)
  const unit = isEffortTarget(target) ? (target.offset?.unit ?? (stretch.sport === 'ride' ? '%' : 's/km')) : isBandTarget(target) ? target.unit : null
  if (unit === null) return null
  if (unit === 's/km' || unit === 's/mi' || unit === 's/100m') {
    if (speed === undefined) return null
    const metres = unit === 's/km' ? 1000 : unit === 's/mi' ? 1609.344 : 100
    return amount => ({ shift: { by: -amount, unit }, words: `${amount} ${unit} slower`, by: share => metres / (metres / (share * speed) + amount) / speed })
  }
  if (unit === 'W') {
    return power === undefined ? null : amount => ({ shift: { by: -amount, unit }, words: `${amount} W less`, by: share => share - amount / power })
  }
  if (unit === '%' || unit === '%CP' || unit === '%CS' || isPaceUnit(unit as 's/step')) {
    return amount => ({ shift: { by: -amount, unit: '%' }, words: `${amount} % easier`, by: share => share * (1 - amount / 100) })
  }
  return null
}

function easier(session: Session, athlete: Athlete, stretches: readonly Stretch[], rate: number): Proposal | null {
  const hard = stretches.filter(isAbove)
  const firstStep = hard[0] && itemAt(session, hard[0].path)
  if (firstStep?.kind !== 'step' || !firstStep.target) return null
  const easing = easingFor(firstStep.target, athlete, hard[0]!)
  if (!easing) return null
  const eased = (amount: number) => leastWith(stretches, rate, (stretch) => {
    if (!isAbove(stretch)) return stretch
    const { by } = easing(amount)
    return { ...stretch, from: by(stretch.from), to: by(stretch.to) }
  })
  const unit = easing(1).shift.unit
  const amount = smallest(unit === 'W' ? 120 : unit === '%' ? 30 : 60, 1, value => eased(value) >= wanted)
  if (amount === null) return null
  const { shift, words } = easing(amount)
  const edits = [...new Set(hard.map(stretch => stretch.path))].flatMap((path): Edit[] => {
    const step = itemAt(session, path) as Step
    const target = step.target && shiftTarget(step.target, shift)
    if (!target) return []
    const isOwnTime = isBandTarget(target) && target.unit === 's/step'
    return [{ do: 'target', at: path, words: `${isOwnTime ? 'in ' : ''}${printTarget(target, isOwnTime)}${step.also ? ` and ${printTarget(step.also)}` : ''}` }]
  })
  return edits.length === 0 ? null : { label: words, edits, leaves: eased(amount) }
}

function longerRest(session: Session, stretches: readonly Stretch[], rate: number): Proposal | null {
  const paths = new Set<string>()
  stretches.forEach((stretch, index) => {
    const isBetween = stretches.slice(index + 1).some(isAbove) && stretches.slice(0, index).some(isAbove)
    const item = itemAt(session, stretch.path)
    if (isBetween && item?.kind === 'step' && (item.role === 'recovery' || item.role === 'rest') && item.end.on === 'time') paths.add(stretch.path)
  })
  if (paths.size === 0) return null
  const rested = (seconds: number) => leastWith(stretches, rate, stretch => paths.has(stretch.path) ? { ...stretch, seconds: stretch.seconds + seconds } : stretch)
  const seconds = smallest(600, 15, value => rested(value) >= wanted)
  if (seconds === null) return null
  const edits = [...paths].map((path): Edit => {
    const step = itemAt(session, path) as Step & { end: { on: 'time', seconds: number } }
    return { do: 'end', at: path, words: formatTime(step.end.seconds + seconds) }
  })
  return { label: `rest ${sayDuration(seconds)} longer`, edits, leaves: rested(seconds) }
}

function fewerRounds(session: Session, stretches: readonly Stretch[], rate: number): Proposal | null {
  const hard = stretches.filter(isAbove)
  const parents = [...new Set(hard.map(stretch => stretch.path.slice(0, Math.max(0, stretch.path.lastIndexOf('.')))))]
  const path = parents.at(-1)
  const block = path ? itemAt(session, path) : null
  if (!path || block?.kind !== 'block' || block.repeat.times === undefined || path.includes('.')) return null
  const keeping = (rounds: number) => reserveThrough(stretches.filter(stretch => !stretch.path.startsWith(`${path}.`) || stretch.round[0]! <= rounds), rate).least.share
  for (let rounds = block.repeat.times - 1; rounds >= 1; rounds--) {
    if (keeping(rounds) >= wanted) return { label: `${rounds} ${rounds === 1 ? 'round' : 'rounds'} instead of ${block.repeat.times}`, edits: [{ do: 'repeat', at: path, repeat: { times: rounds } }], leaves: keeping(rounds) }
  }
  return null
}

const percent = (share: number) => `${Math.round(Math.max(0, share) * 100)} %`

/**
 * A plain answer to "can I do this?", from the reserve above critical and the forecast heart rate, with changes that
 * would bring the session within reach: each is tried on the same model before it is proposed.
 */
export function verdictOn(session: Session, athlete: Athlete, stretches: readonly Stretch[], course: ReserveCourse, rate: number, heart: HeartCourse | null): Verdict {
  const { least, empty } = course
  const reach: Reach = least.share < edges.beyond ? 'beyond' : least.share < edges.edge ? 'edge' : least.share < edges.hard ? 'hard' : least.share < edges.within ? 'within' : 'easy'
  const at = empty ?? least
  const name = at.path === '' ? '' : nameStep(session, at.path, at.round, stretches)
  const words: Record<Reach, string> = {
    beyond: `Beyond reach: ${name} is more than you have above critical.`,
    edge: `At the edge: ${name} leaves ${percent(least.share)} of what you have above critical.`,
    hard: `Hard, and within reach: ${name} leaves ${percent(least.share)} of what you have above critical.`,
    within: `Within reach: at the least, ${percent(least.share)} is left above critical, after ${name}.`,
    easy: 'Nothing here goes far above critical.',
  }
  const ceiling = heart?.crossed ? ` Your ceiling of ${Math.round(heart.crossed.above)} bpm is likely crossed in ${nameStep(session, heart.crossed.path, heart.crossed.round, stretches)}.` : ''
  const proposals = reach === 'beyond' || reach === 'edge'
    ? [easier(session, athlete, stretches, rate), longerRest(session, stretches, rate), fewerRounds(session, stretches, rate)].filter(proposal => proposal !== null)
    : []
  return { reach, said: words[reach] + ceiling, proposals }
}
