import type { Item, Sport } from '../../session/document'

/** An item and the stretch of the line that said it. */
export interface Placed {
  item: Item
  from: number
  to: number
  /** The sport its words named, in a session of several. */
  sport?: Sport
}
