/** What a level is called where a sentence begins with it. */
const levels = { easy: 'Easy', steady: 'Steady', hard: 'Hard', race: 'As hard as a race', beyond: 'Beyond what you have shown' } as const
type Level = keyof typeof levels

const lower: Readonly<Record<Level, string>> = {
  easy: 'it may be easy',
  steady: 'it may be no more than steady',
  hard: 'it may be no more than hard',
  race: 'it may be no more than a race',
  beyond: '',
}
const higher: Readonly<Record<Level, string>> = {
  easy: '',
  steady: 'it may be steady',
  hard: 'it may be hard',
  race: 'it may be all you have',
  beyond: 'it may be more than you have',
}

/** What is said of how hard a session is. */
export interface LevelSaid {
  level: Level
  /** The share used, 1 for a race; and the levels of the ends of its range. */
  used: number
  between: readonly [Level, Level | null]
  /** The step after which the most is used, in words; empty where there is none. */
  most: string
  /** How much of the work says no target: with most of it untold nothing is claimed, with some of it only a least. */
  untold?: 'some' | 'most'
}

/**
 * How hard a session is, in one sentence with its reason and how sure it is.
 *
 * @example sayLevel({ level: 'hard', used: 0.62, between: ['hard', 'race'], most: 'the sixth 800 m' })
 */
export function sayLevel({ level, used, between: [low, high], most, untold }: LevelSaid): string {
  const amount = used > 3 ? 'more than three times' : `about ${Math.round(used * 100)} % of`
  if (untold === 'most') return `Not known: the work says no target. Were it easy, the whole would take ${amount} a race.`
  const share = `${amount} what a race would take`
  const where = most !== '' && level !== 'easy' ? `, the most after ${most}` : ''
  const doubts = [low === level ? '' : lower[low], high === null || high === level ? '' : higher[high]].filter(Boolean)
  const least = untold === 'some' ? `At least ${levels[level].toLowerCase()}` : levels[level]
  return `${least}: ${share}${where}.${doubts.length > 0 ? ` The marks leave room: ${doubts.join(', or ')}.` : ''}`
}

/** Why a forecast leaves a step out or guesses it. */
export const sayLeftOut = (count: number, code: string): string => {
  const rows = count === 1 ? 'One row' : `${count} rows`
  if (code === 'no-target') return `${rows} of work without a target: taken as moderate, and harder if you go harder.`
  if (code === 'step-times') return `${rows} whose time is not known: left out.`
  return `${rows} whose intensity is not known: taken at what is usual.`
}

const sports = { run: 'running', ride: 'riding', swim: 'swimming' } as const

/** What is rough about what an athlete is known to be able to do. */
export function sayAbility(ability: {
  sport: keyof typeof sports
  marks: readonly unknown[]
  conflicts: readonly unknown[]
  isOld: boolean
  criticalFrom: 'own' | 'marks' | 'one-race'
  /** Marks of days that are still to come. */
  future: number
}): string[] {
  const { sport, marks, conflicts, isOld, criticalFrom, future } = ability
  const of = sports[sport]
  return [
    ...(isOld ? [`Your marks in ${of} are more than 120 days old.`] : []),
    ...(marks.length === 0 ? [`There is no mark in ${of}: all follows from your critical number, and is rough.`] : []),
    ...(marks.length === 1 ? [`One mark tells what you can do in ${of}: rough.`] : []),
    ...(conflicts.length > 0 ? [`Marks in ${of} contradict each other: the faster counts until you say in Me which holds.`] : []),
    ...(future > 0 ? [`${future === 1 ? 'A mark' : `${future} marks`} in ${of} of a day to come: not counted yet.`] : []),
    ...(marks.length > 1 && criticalFrom === 'one-race' ? [`Critical speed in ${of} is taken from the curve, not from tests of it.`] : []),
  ]
}
