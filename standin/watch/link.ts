import type { Random } from '../../core/quantity/random'
import type { LinkKind, LinkManner } from '../../shared/api'

export const goodLink: LinkManner = { delay: 0, jitter: 0, loss: 0, double: 0, late: 0, cutAfter: null }

/** A link as it is on an ordinary day. */
export const usualLinks: Readonly<Record<LinkKind, LinkManner>> = {
  cable: { ...goodLink, delay: 1 },
  radio: { ...goodLink, delay: 15, jitter: 15 },
}

export interface Passage {
  passes: boolean
  manner: LinkManner
}

/** Whether a message of so many bytes gets through, and what is left of the link after it. */
export function carry(manner: LinkManner, bytes: number, random: Random): Passage {
  const cutAfter = manner.cutAfter === null ? null : Math.max(0, manner.cutAfter - bytes)
  const isCut = manner.cutAfter !== null && bytes > manner.cutAfter
  return { passes: !isCut && !(random.next() < manner.loss), manner: { ...manner, cutAfter } }
}

const pause = (milliseconds: number) =>
  milliseconds > 0 ? new Promise<void>(resolve => setTimeout(resolve, milliseconds)) : Promise.resolve()
const lateMilliseconds = 2500

/**
 * Carries a frame to a watch and its reply back, with all the faults of the link: lost either way, doubled, or so late that
 * nobody waits for it any more and later ones have passed it.
 *
 * @param hear what the watch does with a frame
 * @returns null when nothing comes back in time
 */
export async function carryFrame(
  frame: string,
  manner: () => LinkManner,
  keep: (manner: LinkManner) => void,
  random: Random,
  hear: (frame: string) => string | null,
): Promise<string | null> {
  const oneWay = async (text: string): Promise<boolean> => {
    const passage = carry(manner(), Buffer.byteLength(text), random)
    keep(passage.manner)
    await pause(manner().delay + manner().jitter * random.next())
    return passage.passes
  }
  if (!(await oneWay(frame))) return null
  if (random.next() < manner().late) {
    setTimeout(() => void hear(frame), lateMilliseconds * random.next())
    return null
  }
  const first = hear(frame)
  const reply = random.next() < manner().double ? hear(frame) : first
  return reply !== null && (await oneWay(reply)) ? reply : null
}
