import { unknownAthlete } from '../../core/athlete/athlete'
import type { QuietMeasure } from '../../core/athlete/quiet-room'
import { wanderedBy } from '../../core/athlete/quiet-room'
import { usualNudging } from '../../core/nudge/nudging'
import { solveWidth, widthKey } from '../../core/nudge/quiet-width'
import { sportNames, sports } from '../../core/session/sports'
import { phoneProfile, watchProfiles } from '../../core/wrist/program/profile'

const measures: readonly QuietMeasure[] = ['pace', 'power', 'heart-rate', 'cadence']

/** The quiet bands of the usual steadiness, solved: every sport, measure and place on every watch that ships, by their keys. */
export function usualWidths(isWanted: (key: string) => boolean = () => true): [key: string, width: number][] {
  const widths = new Map<string, number>()
  for (const nudging of [usualNudging, ...watchProfiles, phoneProfile])
    for (const sport of sportNames)
      for (const place of [undefined, ...sports[sport].places])
        for (const of of measures) {
          const wandered = wanderedBy(unknownAthlete, of, { sport, place, nudging })
          const key = widthKey(wandered, nudging)
          if (!widths.has(key) && isWanted(key)) widths.set(key, solveWidth(wandered, nudging))
        }
  return [...widths].sort(([a], [b]) => a.localeCompare(b))
}
