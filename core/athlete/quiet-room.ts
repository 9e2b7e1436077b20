import type { QuietWidth, Wandered } from '../nudge/quiet-width'
import { quietWidth } from '../nudge/quiet-width'
import type { Nudging } from '../nudge/nudging'
import { wanderingMeasure } from '../nudge/steadiness'
import { settlingSeconds } from '../nudge/settling'
import type { PlaceKind, Sport } from '../session/document'
import type { Athlete } from './athlete'
import { sportNames, sports } from '../session/sports'
import { hasOwnSteadiness, positionMetres, steadinessOf } from './steadiness'

/** Speeds in m/s that a position's error and the length of a pool are reckoned at, so that a sport and place have one width. */
const usualSpeed: Readonly<Record<Sport, number>> = { run: 3.5, ride: 8, swim: 1 }
const usualPoolMetres = 25

export type QuietMeasure = keyof typeof wanderingMeasure
export const quietMeasures = Object.keys(wanderingMeasure) as QuietMeasure[]

/** Where and by what a band is to be quiet. */
export interface QuietContext {
  sport: Sport
  place?: PlaceKind | undefined
  nudging: Nudging
  /** The target's own smoothing in seconds, where it is longer than the watch's. */
  over?: number | undefined
}

/** What the width of a quiet band goes by. */
export function wanderedBy(athlete: Athlete, of: QuietMeasure, { sport, place, nudging, over = 0 }: QuietContext): Wandered {
  const isPace = of === 'pace'
  const isPool = isPace && sport === 'swim' && place !== 'open-water'
  return {
    settling: settlingSeconds[of],
    smoothing: Math.max(1, Math.round(Math.max(nudging.smoothingSeconds, over))),
    steadiness: steadinessOf(athlete, sport, wanderingMeasure[of], place),
    answers: isPace || of === 'power',
    positionSeconds: isPace ? positionMetres(athlete, sport, place) / usualSpeed[sport] : 0,
    lengthSeconds: isPool ? usualPoolMetres / usualSpeed.swim : 0,
  }
}

/**
 * Works the quiet bands of an athlete's own steadiness out before they are asked for, so that no key waits for them; yields
 * after each.
 */
export function* preparingQuiet(athlete: Athlete, nudging: Nudging): Generator<void> {
  for (const sport of sportNames)
    for (const of of quietMeasures)
      for (const place of [undefined, ...sports[sport].places]) {
        if (!hasOwnSteadiness(athlete, sport, wanderingMeasure[of])) continue
        quietRoom(athlete, of, { sport, place, nudging })
        yield
      }
}

/** The quiet band of an athlete in a sport, measure and place and on a watch, to each side as a share of what is meant. */
export const quietRoom = (athlete: Athlete, of: QuietMeasure, context: QuietContext): QuietWidth =>
  quietWidth(wanderedBy(athlete, of, context), context.nudging, of === 'power')
