import type { Item, Sport } from '../../session/document'
import type { SoftSteps } from './between'
import type { Scanner } from './scanner'

/** An item and the stretch of the line that said it. */
export interface Placed {
  item: Item
  from: number
  to: number
  /** The sport its words named, in a session of several. */
  sport?: Sport
}

/** Reads a list of items from where the scanner stands. */
export type ListReader = (scanner: Scanner, soft: SoftSteps, depth: number, inBrackets: boolean) => Placed[]
