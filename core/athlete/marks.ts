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

const asMark = ({ metres, watts, seconds, date }: Effort, sport: Sport): Mark | null => {
  const intensity = sport === 'ride' ? watts : metres === undefined ? undefined : metres / seconds
  return intensity === undefined || !(intensity > 0) || !(seconds >= 1) ? null : { seconds, intensity, date }
}

/** Whether an effort is one that a human can have made. */
export const isHumanEffort = (effort: Effort): boolean => {
  const mark = asMark(effort, effort.sport)
  return mark === null || mark.intensity <= beyondHuman(effort.sport, mark.seconds)
}

/**
 * The efforts that tell what an athlete can hold: of the last 120 days before the standpoint's day and none later; older ones
 * only where there is nothing younger. What no human can have done is left out.
 *
 * @returns by rising time
 */
export function marksOf(standpoint: Standpoint, sport: Sport): { marks: Mark[]; areOld: boolean } {
  const { day } = standpoint
  const all = (standpoint.athlete.efforts ?? [])
    .filter(effort => effort.sport === sport && (day === null || effort.date <= day) && isHumanEffort(effort))
    .flatMap(effort => asMark(effort, sport) ?? [])
    .sort((a, b) => a.seconds - b.seconds)
  const young = day === null ? all : all.filter(mark => !isOld(mark.date, day))
  return young.length > 0 ? { marks: young, areOld: false } : { marks: all, areOld: all.length > 0 }
}
