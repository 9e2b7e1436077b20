import type { Answer, Numbered, Request } from '../../core/wrist/protocol'
import type { Exchange } from '../../core/wrist/transfer'
import { Problem } from './problem'

const tries = 4
const patienceMilliseconds = 4000

export interface StandinPlace { url: string, key: string }

export function standinPlace(): StandinPlace {
  const { STANDIN_URL: url, STANDIN_KEY: key } = process.env
  if (!url || !key) throw new Problem(503, 'There is no link to a watch here.', 'server', 'Start with npm start, which starts the stand-in watches too.')
  return { url, key }
}

let lastNumber = 0

/** The link to one watch: sends a message until its own answer comes back, a few times at most. */
export function openLink(address: string, place: StandinPlace = standinPlace()): Exchange {
  return async (request: Request): Promise<Answer> => {
    const number = ++lastNumber
    const frame = JSON.stringify({ number, body: request } satisfies Numbered<Request>)
    for (let attempt = 1; attempt <= tries; attempt++) {
      try {
        const response = await fetch(`${place.url}/${encodeURIComponent(address)}/link`, {
          method: 'POST', body: frame, headers: { 'x-standin-key': place.key }, signal: AbortSignal.timeout(patienceMilliseconds),
        })
        const reply = await response.json() as Numbered<Answer>
        if (response.ok && reply.number === number) return reply.body
      }
      catch {
        continue
      }
    }
    throw new Problem(502, 'The watch does not answer.', 'link', 'Bring it near or mend the link, then go on: what arrived is kept.')
  }
}
