import type { Missing } from './missing'
import { sayMissing } from './missing'

/** What is not known or worth knowing of a session's time and distance, as a code with its fields. */
export type ReckonRemark =
  | { code: 'target-unresolved' | 'time-unknown' | 'distance-unknown'; path: string; missing: Missing }
  | { code: 'speed-guessed' | 'rounds-unknown'; path: string }
  | { code: 'too-many-rounds'; path: string; steps: number }
  | { code: 'lengths'; path: string; end: string; lengths: number; distance: string }
  | { code: 'lap'; lane: number; metres: number }

/** A remark of the reckoning as a sentence without its capital and stop. */
export function sayReckonRemark(remark: ReckonRemark): string {
  switch (remark.code) {
    case 'target-unresolved':
      return `needs ${sayMissing(remark.missing)}`
    case 'time-unknown':
      return `how long it takes is not known: it needs ${sayMissing(remark.missing)}`
    case 'distance-unknown':
      return `how far it goes is not known: it needs ${sayMissing(remark.missing)}`
    case 'speed-guessed':
      return 'how fast is not said; from easy to fast is reckoned'
    case 'rounds-unknown':
      return 'how many rounds this takes is not known; one is counted'
    case 'too-many-rounds':
      return `it comes to more than ${remark.steps} steps; the rest is not counted`
    case 'lengths':
      return `${remark.end} is not whole lengths here: ${remark.lengths} lengths are ${remark.distance}`
    case 'lap':
      return `a lap in lane ${remark.lane} is ${remark.metres.toFixed(2)} m`
  }
}
