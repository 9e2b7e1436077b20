import { unknownAthlete } from '../../core/athlete/athlete'
import { quietMeasures, wanderedBy } from '../../core/athlete/quiet-room'
import type { Nudging } from '../../core/nudge/nudging'
import { usualNudging } from '../../core/nudge/nudging'
import type { Wandered } from '../../core/nudge/quiet-width'
import { solveWidth, widthKey } from '../../core/nudge/quiet-width'
import { sportNames, sports } from '../../core/session/sports'
import { phoneProfile, watchProfiles } from '../../core/wrist/program/profile'

/** Means that a target is usually asked to be led by, beside the watch's own smoothing. */
const overs = [undefined, 10, 20, 30, 60] as const

/** What the quiet bands that ship go by: the usual steadiness in every sport, measure and place on every watch, by their keys. */
export function usualWandering(): Map<string, { of: Wandered; nudging: Nudging }> {
  const found = new Map<string, { of: Wandered; nudging: Nudging }>()
  for (const nudging of [usualNudging, ...watchProfiles, phoneProfile])
    for (const sport of sportNames)
      for (const place of [undefined, ...sports[sport].places])
        for (const measure of quietMeasures)
          for (const over of overs) {
            const of = wanderedBy(unknownAthlete, measure, { sport, place, nudging, over })
            found.set(widthKey(of, nudging), { of, nudging })
          }
  return found
}

/** Their widths, solved: of every so many only, where all would take too long. */
export const usualWidths = (everyNth = 1): [key: string, width: number][] =>
  [...usualWandering()]
    .sort(([a], [b]) => a.localeCompare(b))
    .filter((_, index) => index % everyNth === 0)
    .map(([key, { of, nudging }]) => [key, solveWidth(of, nudging)])
