import type { Random } from '../../core/quantity/random'

/** How the link to a watch behaves: slow, lossy or cut. A real fault, met by both sides. */
export interface LinkManner {
  /** Milliseconds that every message takes, each way. */
  delay: number
  /** Share of messages lost, from 0 to 1, each way. */
  loss: number
  /** Bytes that still get through before the link is cut; null for no cut. */
  cutAfter: number | null
}

export const goodLink: LinkManner = { delay: 0, loss: 0, cutAfter: null }

export type Passage = { passes: true, manner: LinkManner } | { passes: false, manner: LinkManner }

/** Whether a message of so many bytes gets through, and what is left of the link after it. */
export function carry(manner: LinkManner, bytes: number, random: Random): Passage {
  const cutAfter = manner.cutAfter === null ? null : Math.max(0, manner.cutAfter - bytes)
  const next = { ...manner, cutAfter }
  const isCut = manner.cutAfter !== null && bytes > manner.cutAfter
  return { passes: !isCut && !(random.next() < manner.loss), manner: next }
}
