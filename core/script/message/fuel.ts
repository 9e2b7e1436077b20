import type { Prompt } from '../../session/document'
import { readTime } from '../token/quantities'
import type { Scanner } from '../token/scanner'
import { attempt, sees, take } from '../token/scanner'
import type { Meaning } from './token'

const things =
  'gels?|drinks?|drinking|eat(?:ing)?|fuel(?:l?ing)?|sips?|bars?|carbs|water|bottles?|bidons?|electrolytes?|isotonic|chews?|snacks?|salts?'
const noun = `(?:${things}|banana|half\\s+a\\s+(?:gel|bar|banana))`
const opening = '(?:(?:take|have|grab)\\s+)?(?:(?:an?|one|1|some)\\s+)?'
const kinds = '(?:energy\\s+|electrolyte\\s+|caffeine\\s+|isotonic\\s+|sports?\\s+)?'
const words = `${opening}(${kinds}${noun})(?:\\s+(?:something|a\\s+bit|a\\s+little|up|in))?`
/** What to take, and the word before its first time. */
const fuelWords = new RegExp(`${words}\\s*(?:(@)\\s*|\\s(at|after|from|every)\\s+)(?=\\d|(?:half\\s+(?:an?\\s+)?)?hour)`, 'iy')
/** By the distance nobody can be told: it stays a word of the row. */
const byDistance = new RegExp(
  `${words}\\s*(?:@|\\s(?:at|after|from|every))\\s*(?:(?:mi(?:les?)?|km)\\s*\\d+|\\d+(?:[.,]\\d+)?\\s*(?:k|km|mi|miles?)(?![\\p{L}\\d]))` +
    '(?:(?:\\s*,\\s*|\\s+and\\s+|\\s*&\\s*)(?:(?:mi(?:les?)?|km)\\s*)?\\d+(?:\\s*(?:k|km|mi|miles?))?(?![\\p{L}\\d:\u0027"]))*',
  'iuy',
)

const halfHour = /half\s+(?:an?\s+)?hour/iy
const bareMinutes = /\d{1,3}(?![\d:.]|\s*(?:k|km|mi|m|x|times)(?![a-z]))/iy

/** Seconds of a time; a number alone counts minutes, as in every such plan. */
function secondsAt(scanner: Scanner): number | null {
  if (take(scanner, halfHour)) return 1800
  if (take(scanner, /hour/iy)) return 3600
  const reading = attempt(scanner, readTime)
  const bare = reading === null ? take(scanner, bareMinutes) : null
  const seconds = reading ?? (bare ? Number(bare[0]) * 60 : null)
  return seconds !== null && seconds > 0 ? seconds : null
}

/** Further times of a list: `45, 75 and 105 min`. */
function timesBehind(scanner: Scanner, first: number): number[] {
  const times = [first]
  for (;;) {
    const next = attempt(scanner, inner => (take(inner, /\s*(?:,|and|&|\/)\s*(?:at\s+)?(?=\d)/iy) ? secondsAt(inner) : null))
    if (next === null || next <= times.at(-1)!) return times
    times.push(next)
  }
}

/** Times in even steps are one prompt, others one each. */
function promptsAt(say: string, times: readonly number[]): Prompt[] {
  const [first] = times as [number]
  const step = times.length > 1 ? times[1]! - first : first
  const isEven = times.every((time, index) => time === first + index * step)
  return isEven ? [{ say, from: first, every: step, count: times.length }] : times.map(time => ({ say, from: time, every: time, count: 1 }))
}

/** `gel at 45 min then every 30 min`, `water at 30 and 60 min`, `drink every half hour`: told on the way, and no step. */
export function fuelAt(scanner: Scanner): Meaning | null {
  const match = take(scanner, fuelWords)
  if (!match) return null
  const first = secondsAt(scanner)
  if (first === null) return null
  const say = match[1]!.toLowerCase().replace(/\s+/g, ' ')
  const isEvery = /every/i.test(match[3] ?? '')
  if (isEvery) {
    const from = attempt(scanner, inner =>
      take(
        inner,
        /\s*[,(]?\s*(?:from|starting(?:\s+(?:at|from|after))?|(?:the\s+)?first(?:\s+one)?(?:\s+(?:at|after))?)\s+(?=\d|half|hour)/iy,
      )
        ? secondsAt(inner)
        : null,
    )
    return { is: 'prompt', prompts: [{ say, from: from ?? first, every: first }] }
  }
  const times = timesBehind(scanner, first)
  const again = attempt(scanner, inner =>
    take(inner, /\s*,?\s*(?:(?:and\s+)?then\s+|and\s+)?every\s+(?=\d|half|hour)/iy) ? secondsAt(inner) : null,
  )
  if (sees(scanner, /\s*on(?:wards?)?(?=\s*(?:[,.;)]|$))/iy)) take(scanner, /\s*on(?:wards?)?/iy)
  if (again !== null && times.length === 1) return { is: 'prompt', prompts: [{ say, from: first, every: again }] }
  return { is: 'prompt', prompts: promptsAt(say, times) }
}

/** `gel every 8 km`: a word of the row, since a watch prompts by the time. */
export function fuelByDistance(scanner: Scanner): Meaning | null {
  const match = take(scanner, byDistance)
  return match && { is: 'note', words: match[0].trim() }
}
