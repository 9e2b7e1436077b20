import { normalsFrom } from '../quantity/normal'
import type { HeldStep, Nudging } from './nudging'
import { nudgesIn } from './nudging'
import { knownWidths } from './quiet-table'

/** A step of so many seconds gets one nudge in the quiet band. */
const quietSeconds = 300
const runs = 300
const seed = 7
const rounds = 10
/** The narrowest and the widest band that is called quiet, to each side as a share of what is meant. */
const least = 0.01
const most = { power: 0.12, other: 0.04 }
/** Wider than any band that is worth asking about. */
const widest = 0.5
const grain = 0.0005

/** What the width of the quiet band goes by: how a value wanders, where and by which watch. */
export type Wandered = Pick<HeldStep, 'settling' | 'smoothing' | 'steadiness' | 'answers' | 'positionSeconds' | 'lengthSeconds'>

/** Mean nudges in one carrying out of a step, from the same numbers each time. */
export function expectedNudges(step: HeldStep, nudging: Nudging, times = runs): number {
  const normal = normalsFrom(seed)
  const window = new Float64Array(step.smoothing)
  let sum = 0
  for (let run = 0; run < times; run++) sum += nudgesIn(step, nudging, normal, window)
  return sum / times
}

/**
 * The narrowest band around what is meant, to each side as a share of it, in which a step of five minutes is nudged once.
 *
 * @returns 0 to 0.5, to a two-thousandth, rounded outward
 */
export function solveWidth(of: Wandered, nudging: Nudging): number {
  let [narrow, wide] = [0, widest]
  for (let round = 0; round < rounds; round++) {
    const middle = (narrow + wide) / 2
    const step: HeldStep = { ...of, seconds: quietSeconds, low: 1 - middle, high: 1 + middle }
    if (expectedNudges(step, nudging) > 1) narrow = middle
    else wide = middle
  }
  return Math.ceil(wide / grain - 1e-9) / Math.round(1 / grain)
}

/** Names what a width goes by, in the digits that it goes by. */
export function widthKey(
  { settling, smoothing, steadiness: { sd, tau }, answers, positionSeconds, lengthSeconds }: Wandered,
  { alertAfterSeconds, alertRepeatSeconds }: Nudging,
): string {
  const near = (value: number) => Math.round(value * 1e4) / 1e4
  const parts = [settling, smoothing, near(sd), near(tau), Number(answers), near(positionSeconds), near(lengthSeconds)]
  return [...parts, alertAfterSeconds, alertRepeatSeconds].join(' ')
}

const solved = new Map<string, number>(Object.entries(knownWidths))

export interface QuietWidth {
  /** To each side, as a share of what is meant. */
  share: number
  /** Not even this band is quiet: who wants no nudges is better led by the mean of the lap. */
  stillNags: boolean
}

/**
 * The quiet band to each side of what is meant, as a share of it: solved once for all that it goes by, and looked up from then on.
 * The usual ones ship with the application.
 *
 * @param isPower power wanders more than all else, and gets more room
 */
export function quietWidth(of: Wandered, nudging: Nudging, isPower: boolean): QuietWidth {
  const key = widthKey(of, nudging)
  let width = solved.get(key)
  if (width === undefined) {
    width = solveWidth(of, nudging)
    solved.set(key, width)
  }
  const cap = isPower ? most.power : most.other
  return { share: Math.min(cap, Math.max(least, width)), stillNags: width > cap }
}
