import type { Sport } from '../session/document'

/** The document's field that a derived number can be taken into. */
export type NumberField =
  | 'run.criticalSpeed'
  | 'run.dPrime'
  | 'run.criticalPower'
  | 'run.wPrime'
  | 'ride.criticalPower'
  | 'ride.wPrime'
  | 'swim.criticalSpeed'
  | 'heart.max'

/** A number reckoned from what the athlete has shown, with where it came from. */
export interface DerivedNumber {
  name: string
  sport: Sport | 'all'
  value: number
  unit: 's' | 'm/s' | 'm' | 'W' | 'J' | 'bpm' | 'ml/kg/min' | '1'
  method: string
  source: string
  inputs: string[]
  /** Half the width of its 95 % range, or what the method's own literature gives; in the number's unit. */
  uncertainty?: number
  /** The day of the youngest input. */
  date?: string
  /** Its youngest input is over 120 days old. */
  isAged?: true
  /** What would change it. */
  changes: string
  /** What else weakens it, in words. */
  weakness?: string
  field?: NumberField
}
