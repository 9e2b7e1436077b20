import type { Random } from '../../core/quantity/random'
import type { LinkManner } from '../../shared/api'

export const goodLink: LinkManner = { delay: 0, loss: 0, cutAfter: null }

export type Passage = { passes: true, manner: LinkManner } | { passes: false, manner: LinkManner }

/** Whether a message of so many bytes gets through, and what is left of the link after it. */
export function carry(manner: LinkManner, bytes: number, random: Random): Passage {
  const cutAfter = manner.cutAfter === null ? null : Math.max(0, manner.cutAfter - bytes)
  const next = { ...manner, cutAfter }
  const isCut = manner.cutAfter !== null && bytes > manner.cutAfter
  return { passes: !isCut && !(random.next() < manner.loss), manner: next }
}
