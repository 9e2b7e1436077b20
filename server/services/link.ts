import type { Carry } from '../../core/wrist/link/line'
import { SilentError } from '../../core/wrist/link/line'
import type { PartSizes } from '../../core/wrist/link/transfer'
import type { LinkKind } from '../../shared/api'
import { Problem } from './problem'

const patienceMilliseconds = 3000

/** Bytes of a program in one message: a cable takes much at once, a radio little. */
export const messageBytes: Readonly<Record<LinkKind, number>> = { cable: 4096, radio: 512 }

/** Bytes of a recording in one message: whoever asks for it has more room than a watch, and a recording is long. */
export const recordingBytes: Readonly<Record<LinkKind, PartSizes>> = {
  cable: { first: 4096, most: 4096 },
  radio: { first: 512, most: 2048 },
}

export interface StandinPlace {
  url: string
  key: string
}

export function standinPlace(): StandinPlace {
  const { STANDIN_URL: url, STANDIN_KEY: key } = process.env
  if (!url || !key)
    throw new Problem(503, 'There is no link to a watch here.', 'server', 'Start with npm start, which starts the stand-in watches too.')
  return { url, key }
}

/** The link to one watch: carries a frame there and brings back what comes in time. */
export function openLink(address: string, kind: LinkKind, place: StandinPlace = standinPlace()): Carry {
  return async frame => {
    try {
      const response = await fetch(`${place.url}/${encodeURIComponent(address)}/${kind}`, {
        method: 'POST',
        body: frame,
        headers: { 'x-standin-key': place.key },
        signal: AbortSignal.timeout(patienceMilliseconds),
      })
      if (!response.ok) throw new SilentError(`the link answered ${response.status}`)
      return await response.text()
    } catch (error) {
      throw error instanceof SilentError ? error : new SilentError((error as Error).message)
    }
  }
}
