import { isSealedBy, leaseOfCounter, messageOf, readFrame, seal } from './frame'
import type { Answer, Request } from './protocol'

/** Brings one frame over the link and waits for the frame that comes back; rejects when none does in time. */
export type Carry = (frame: string) => Promise<string>

/** Sends one request over the link and waits for its answer; rejects when the link fails. */
export type Exchange = (request: Request) => Promise<Answer>

/** The link brought no answer, however often it was asked. */
export class SilentError extends Error {}

/** The watch does not know this key: it was reset, or belongs to somebody else by now. */
export class UnpairedError extends Error {}

/** The watch has taken frames that count above this lease's: another server speaks with it, or the database is an older one. */
export class BehindError extends Error {
  constructor(readonly heard: number) {
    super(`the watch has already heard counter ${heard}`)
  }

  /** The lease that the watch has heard. */
  get lease() {
    return leaseOfCounter(this.heard)
  }
}

export interface LineOptions {
  watch: string
  /** The key that pairing gave, in hex; null for greeting and pairing. */
  key: string | null
  /** The first counter that may be used. */
  firstCounter: number
  /** How often a frame is sent before the watch counts as silent. */
  tries?: number
}

/**
 * The server's end of the link: numbers and seals what it sends, and sends it again until its own answer comes back.
 *
 * Traps: an answer counts only with the counter that was asked with and the watch's seal; a late answer to an earlier frame is
 * passed over. Only a refusal may come unsealed, and nothing but giving up follows from it.
 */
export function openLine(carry: Carry, { watch, key, firstCounter, tries = 4 }: LineOptions): Exchange {
  let counter = firstCounter - 1
  return async request => {
    counter++
    const frame = seal(key, 'server', watch, counter, request)
    for (let attempt = 1; attempt <= tries; attempt++) {
      let text: string
      try {
        text = await carry(frame)
      } catch (error) {
        if (error instanceof SilentError) continue
        throw error
      }
      const reply = readFrame(text)
      const answer = reply && reply.counter === counter ? messageOf<Answer>(reply) : null
      if (!answer) continue
      const isSealed = key !== null && isSealedBy(reply!, key, 'watch', watch)
      if (key !== null && !isSealed) {
        if (answer.kind === 'refused' && answer.why === 'unpaired') throw new UnpairedError(answer.detail)
        continue
      }
      if (answer.kind === 'refused' && answer.heard !== undefined) throw new BehindError(answer.heard)
      return answer
    }
    throw new SilentError('the watch does not answer')
  }
}
