import type { Block, Ceiling, Leg, PlaceOfSession, PlainPlaceKind, Prompt, Repeat, Sport } from '../../session/document'
import { limits } from '../../session/limits'
import { parseClock } from '../../quantity/time'
import { readCeiling, readDoubt, repeatOver } from '../token/ends'
import { isWithinBounds, readQuantity } from '../token/quantities'
import type { Scanner } from '../token/scanner'
import { attempt, sees, skipSpaces, take } from '../token/scanner'

const plainPlaces: readonly PlainPlaceKind[] = ['road', 'trail', 'treadmill', 'outdoors', 'trainer', 'open-water']

/** A place as it stands after the word `place`. */
export function parsePlace(text: string): PlaceOfSession | null {
  const words = text.trim().toLowerCase()
  const plain = plainPlaces.find(kind => kind === words)
  if (plain) return { kind: plain }
  const track = /^track(?:,?\s*(?:in\s+)?lane\s+([1-9]))?$/.exec(words)
  if (track) return track[1] ? { kind: 'track', lane: Number(track[1]) } : { kind: 'track' }
  const [, size, unit] = /^pool,?\s+(\d+(?:\.\d+)?)\s*(m|yd)$/.exec(words) ?? /^(\d+(?:\.\d+)?)[\s-]*(m|yd)\s+pool$/.exec(words) ?? []
  const length = Number(size)
  return length >= 5 && length <= 200 ? { kind: 'pool', length, unit: unit as 'm' | 'yd' } : null
}

/** A prompt as it stands after the word `prompt`. */
export function parsePrompt(text: string): Prompt | null {
  const match = /^(\S(?:.*\S)?) from (\S+) every (\S+?)(?:, (\d{1,3}) times)?$/s.exec(text)
  if (!match) return null
  const from = parseClock(match[2]!)
  const every = parseClock(match[3]!)
  if (from === null || every === null || every <= 0 || from > limits.seconds || every > limits.seconds) return null
  const prompt: Prompt = { say: match[1]!, from, every }
  if (match[4]) prompt.count = Number(match[4])
  return match[4] === '0' ? null : prompt
}

export function parseDay(text: string): string | null {
  const word = text.trim().toLowerCase()
  if (/^(?:mon|tue|wed|thu|fri|sat|sun)$/.test(word)) return word
  const date = /^(\d{4})-(\d{2})-(\d{2})$/.exec(word)
  if (!date) return null
  const real = new Date(Date.UTC(Number(date[1]), Number(date[2]) - 1, Number(date[3])))
  return real.toISOString().slice(0, 10) === word ? word : null
}

/** The whole of a scanner's line as a heart-rate ceiling. */
export function readCeilingLine(scanner: Scanner): Ceiling | null {
  return attempt(scanner, () => {
    const ceiling = readCeiling(scanner)
    return ceiling && !sees(scanner, /\S/y) ? ceiling : null
  })
}

export type BlockHead = Omit<Block, 'items'>

function readRepeat(scanner: Scanner): Repeat | null {
  if (take(scanner, /(?:repeat\s+)?for\b/iy)) {
    const reading = readQuantity(scanner)
    if (!reading) return null
    return isWithinBounds(reading.quantity) ? repeatOver(reading.quantity) : null
  }
  const match = take(scanner, /(\d{1,4})\s*(?:times|x|\*|rounds?|sets?)(?:\s+of)?(?![a-z\d])\s*:?/iy)
  const times = match ? Number(match[1]) : 0
  return times >= 1 && times <= limits.times ? { times } : null
}

/** A line that only opens a block: `3 times, drop last recovery`, `repeat for 5 km`. */
export function readBlockHead(scanner: Scanner): BlockHead | null {
  return attempt(scanner, () => {
    const off = take(scanner, /off\s+/iy)
    const repeat = readRepeat(scanner)
    if (!repeat) return null
    const head: BlockHead = { kind: 'block', repeat }
    if (off) head.off = true
    while (take(scanner, /,/y)) {
      const missed = take(scanner, /stop\s+after\s+(\d{1,3})\s+missed\b/iy)
      if (missed && repeat.times !== undefined && Number(missed[1]) > 0) repeat.stopAfterMissed = Number(missed[1])
      else if (take(scanner, /drop\s+last\s+recovery\b/iy)) head.lastRecovery = 'drop'
      else {
        const ceiling = readCeiling(scanner)
        if (!ceiling) return null
        head.ceiling = ceiling
      }
    }
    const doubt = readDoubt(scanner)
    if (doubt) head.doubt = doubt
    skipSpaces(scanner)
    return scanner.at >= scanner.text.length || scanner.text[scanner.at] === '#' ? head : null
  })
}

export type LegHead = Omit<Leg, 'items'>

export function parseLegHead(text: string): LegHead | null {
  const match = /^leg\s+(run|ride|swim)(?:,\s*place\s+(.+))?$/i.exec(text.trim())
  if (!match) return null
  const leg: LegHead = { kind: 'leg', sport: match[1]!.toLowerCase() as Sport }
  if (match[2]) {
    const place = parsePlace(match[2])
    if (!place) return null
    leg.place = place
  }
  return leg
}
