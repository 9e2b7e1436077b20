import type { Sport } from '../session/document'
import { isOld } from './age'
import type { Effort } from './athlete'
import type { Standpoint } from './standpoint'

/** An all-out effort as a time and the intensity held for it: m/s, or W on the bike. */
export interface Mark {
  seconds: number
  intensity: number
  date: string
}

/** Fastest of anybody, as an intensity at a time and the exponents by which it falls before and behind. */
const fastest: Readonly<Record<Sport, { seconds: number; intensity: number; before: number; behind: number }>> = {
  run: { seconds: 206, intensity: 7.5, before: 0.118, behind: 0.0625 },
  swim: { seconds: 102, intensity: 2.06, before: 0.15, behind: 0.0625 },
  ride: { seconds: 240, intensity: 850, before: 0.2, behind: 0.18 },
}

/**
 * What no human has held for so long, in m/s or W, with a few percent of room.
 *
 * @param seconds one or more
 * @example beyondHuman('run', 206) // 7.5: 1500 m in 3:20
 */
export function beyondHuman(sport: Sport, seconds: number): number {
  const best = fastest[sport]
  return best.intensity * (seconds / best.seconds) ** -(seconds < best.seconds ? best.before : best.behind)
}

/** What a mark is counted in. */
export type MarkMeasure = 'speed' | 'power'

const measureIn = (sport: Sport): MarkMeasure => (sport === 'ride' ? 'power' : 'speed')

const asMark = ({ metres, watts, seconds, date }: Effort, measure: MarkMeasure): Mark | null => {
  const intensity = measure === 'power' ? watts : metres === undefined ? undefined : metres / seconds
  return intensity === undefined || !(intensity > 0) || !(seconds >= 1) ? null : { seconds, intensity, date }
}

/** Whether an effort is one that a human can have made. */
export const isHumanEffort = (effort: Effort): boolean => {
  const mark = asMark(effort, measureIn(effort.sport))
  return mark === null || mark.intensity <= beyondHuman(effort.sport, mark.seconds)
}

/** Whether an effort counts on a day, or why it does not. */
export type MarkStanding = 'counts' | 'old' | 'future' | 'impossible' | 'left-out'

/** How an effort stands by the rules alone, wherever the other marks put it. */
export function standingOf(effort: Effort, day: string | null): MarkStanding {
  if (effort.leftOut) return 'left-out'
  if (!isHumanEffort(effort)) return 'impossible'
  if (day === null) return 'counts'
  return effort.date > day ? 'future' : isOld(effort.date, day) ? 'old' : 'counts'
}

/**
 * The efforts that tell what an athlete can hold: of the last 120 days before the standpoint's day and none later; older ones
 * only where there is nothing younger. What no human can have done, and what the athlete leaves out, is left out.
 *
 * @returns by rising time
 */
export function marksOf(standpoint: Standpoint, sport: Sport, measure = measureIn(sport)): { marks: Mark[]; areOld: boolean } {
  const { athlete, day } = standpoint
  const told = (wanted: MarkStanding) =>
    (athlete.efforts ?? [])
      .filter(effort => effort.sport === sport && standingOf(effort, day) === wanted)
      .flatMap(effort => asMark(effort, measure) ?? [])
      .sort((a, b) => a.seconds - b.seconds)
  const young = told('counts')
  const old = young.length > 0 ? [] : told('old')
  return young.length > 0 ? { marks: young, areOld: false } : { marks: old, areOld: old.length > 0 }
}

/** How many efforts of a sport are of days that are still to come. */
export const futureMarks = ({ athlete, day }: Standpoint, sport: Sport): number =>
  (athlete.efforts ?? []).filter(effort => effort.sport === sport && standingOf(effort, day) === 'future').length
