import type { Random } from '../../core/quantity/random'
import type { LinkKind, LinkFaults } from '../../shared/api'

export const goodLink: LinkFaults = { delay: 0, jitter: 0, loss: 0, double: 0, late: 0, cutAfter: null }

/** A link as it is on an ordinary day. */
export const usualLinks: Readonly<Record<LinkKind, LinkFaults>> = {
  cable: { ...goodLink, delay: 1 },
  radio: { ...goodLink, delay: 15, jitter: 15 },
}

export interface Passage {
  passes: boolean
  faults: LinkFaults
}

/** Whether a message of so many bytes gets through, and what is left of the link after it. */
export function carry(faults: LinkFaults, bytes: number, random: Random): Passage {
  const cutAfter = faults.cutAfter === null ? null : Math.max(0, faults.cutAfter - bytes)
  const isCut = faults.cutAfter !== null && bytes > faults.cutAfter
  return { passes: !isCut && !(random.next() < faults.loss), faults: { ...faults, cutAfter } }
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
  faults: () => LinkFaults,
  keep: (faults: LinkFaults) => void,
  random: Random,
  hear: (frame: string) => string | null,
): Promise<string | null> {
  const oneWay = async (text: string): Promise<boolean> => {
    const passage = carry(faults(), Buffer.byteLength(text), random)
    keep(passage.faults)
    await pause(faults().delay + faults().jitter * random.next())
    return passage.passes
  }
  if (!(await oneWay(frame))) return null
  if (random.next() < faults().late) {
    setTimeout(() => void hear(frame), lateMilliseconds * random.next())
    return null
  }
  const first = hear(frame)
  const reply = random.next() < faults().double ? hear(frame) : first
  return reply !== null && (await oneWay(reply)) ? reply : null
}
