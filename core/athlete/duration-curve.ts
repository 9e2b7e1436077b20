import type { Sport } from '../session/document'

/** A point of the curve: an intensity in m/s or W, and the seconds that it can be held. */
export interface CurvePoint {
  seconds: number
  intensity: number
}

/** How long each intensity can be held, and the most that can be held for a time. */
export interface DurationCurve {
  /** Seconds that an intensity can be held, all out; infinite at rest. Strictly falling. */
  secondsAt: (intensity: number) => number
  /** The most that can be held for so many seconds, in m/s or W. Strictly falling. */
  intensityFor: (seconds: number) => number
}

/** Where the sprint part ends and the long part begins, in seconds. */
const middle = { from: 180, to: 3 * 3600 }
/** Ten hours at 65 % of critical end the long part. */
const tail = { seconds: 36_000, share: 0.65 }
const sprintFades = 0.013
/** The time whose speed a sprint fades to. */
const aerobicSeconds = 420
/** Multiples of what it is of, where the athlete has shown no sprint: rough. */
export const usualSprint = { run: 1.75, ride: 3.5 } as const
const leastSeconds = 1
/** Above the sprint hardly any time is left: it falls with this power. */
const beyondSprint = 60

interface Line {
  from: CurvePoint
  /** The intensity falls with the time to this power. */
  exponent: number
}
const onLine = ({ from, exponent }: Line, seconds: number) => from.intensity * (seconds / from.seconds) ** -exponent
const timeOnLine = ({ from, exponent }: Line, intensity: number) => from.seconds * (from.intensity / intensity) ** (1 / exponent)
const through = (from: CurvePoint, to: CurvePoint): Line => ({
  from,
  exponent: Math.log(from.intensity / to.intensity) / Math.log(to.seconds / from.seconds),
})

/** The time in seconds, between two, at which a falling function takes a value. */
export function timeWhere(value: (seconds: number) => number, wanted: number, low: number, high: number): number {
  for (let round = 0; round < 60; round++) {
    const seconds = Math.sqrt(low * high)
    if (value(seconds) > wanted) low = seconds
    else high = seconds
  }
  return Math.sqrt(low * high)
}

/** What can be held for less than the shortest point: it meets the curve there. */
interface Sprint {
  intensityFor: (seconds: number) => number
  secondsAt: (intensity: number) => number
}

/**
 * Speed on foot of a few seconds to three minutes: the sprint fades to the speed of about seven minutes.
 *
 * @param sprint m/s
 * @source Bundle, Hoyt & Weyand, J Appl Physiol 95 (2003), with a term that meets the curve
 */
function runSprint(at: CurvePoint, aerobic: number, sprint: number): Sprint {
  const fade = (seconds: number) => (sprint - aerobic) * Math.exp(-sprintFades * seconds)
  const left = at.intensity - aerobic - fade(at.seconds)
  const intensityFor = (seconds: number) => aerobic + fade(seconds) + (left * seconds) / at.seconds
  return { intensityFor, secondsAt: intensity => timeWhere(intensityFor, intensity, leastSeconds, at.seconds) }
}

/**
 * Power of a few seconds to three minutes: critical power with a finite sprint.
 *
 * @param sprint W, above what is held at the point
 * @source Morton, Ergonomics 39 (1996)
 */
function rideSprint(at: CurvePoint, critical: number, sprint: number): Sprint {
  const span = sprint - critical
  const reserve = ((at.intensity - critical) * at.seconds) / (1 - (at.intensity - critical) / span)
  return {
    intensityFor: seconds => critical + reserve / (seconds + reserve / span),
    secondsAt: intensity => reserve / (intensity - critical) - reserve / span,
  }
}

/** What a curve is drawn through. */
export interface CurveOutline {
  sport: Sport
  /** Two points or more, by rising time and falling intensity. */
  points: readonly CurvePoint[]
  /** The intensity falls with the time to this power beyond the outermost points. */
  exponent: number
  /** m/s or W. */
  critical: number
  /** The athlete's sprint, in m/s or W; the usual one without. */
  sprint?: number | undefined
}

/**
 * The curve through points that are met exactly: lines in the logarithms of time and intensity from point to point, and from
 * three minutes to three hours beyond them; below that the sprint, above it a straight line in the logarithm of time to ten
 * hours at 65 % of critical.
 *
 * Laws: `secondsAt` and `intensityFor` undo each other; both fall strictly; every point is met.
 *
 * @source own model from published parts; the parts are named at each
 */
export function drawCurve({ sport, points, exponent, critical, sprint }: CurveOutline): DurationCurve {
  const beyond = (from: CurvePoint, seconds: number): CurvePoint => ({ seconds, intensity: onLine({ from, exponent }, seconds) })
  const known = [...points]
  if (known[0]!.seconds > middle.from) known.unshift(beyond(known[0]!, middle.from))
  if (known.at(-1)!.seconds < middle.to) known.push(beyond(known.at(-1)!, middle.to))
  const lines = known.slice(1).map((to, index) => through(known[index]!, to))
  const [first, last] = [known[0]!, known.at(-1)!]
  const middleFor = (seconds: number) =>
    onLine(
      lines[
        Math.max(
          0,
          known.findLastIndex(point => point.seconds <= seconds),
        )
      ] ?? lines.at(-1)!,
      seconds,
    )
  const start = sprintOf(
    sport,
    first,
    critical,
    middleFor(Math.min(Math.max(aerobicSeconds, first.seconds), last.seconds)),
    sprint,
    exponent,
  )
  const top = start.intensityFor(leastSeconds)
  const fallsTo = tail.share * critical
  const isTailKnown = last.intensity > 1.05 * fallsTo && last.seconds < 0.9 * tail.seconds
  const perUnit = isTailKnown
    ? Math.log(tail.seconds / last.seconds) / (last.intensity - fallsTo)
    : Math.log(tail.seconds / middle.to) / ((0.9 - tail.share) * critical)
  return {
    secondsAt(intensity) {
      if (!(intensity > 0)) return Infinity
      if (intensity >= top) return leastSeconds * (top / intensity) ** beyondSprint
      if (intensity > first.intensity) return start.secondsAt(intensity)
      if (intensity <= last.intensity) return last.seconds * Math.exp((last.intensity - intensity) * perUnit)
      return timeOnLine(lines[known.findLastIndex(point => point.intensity >= intensity)]!, intensity)
    },
    intensityFor(seconds) {
      if (seconds <= leastSeconds) return top * (leastSeconds / Math.max(seconds, 1e-6)) ** (1 / beyondSprint)
      if (seconds < first.seconds) return start.intensityFor(seconds)
      if (seconds <= last.seconds) return middleFor(seconds)
      return Math.max(0, last.intensity - Math.log(seconds / last.seconds) / perUnit)
    },
  }
}

function sprintOf(sport: Sport, at: CurvePoint, critical: number, aerobic: number, sprint: number | undefined, exponent: number): Sprint {
  const line = { from: at, exponent }
  const goingOn = {
    intensityFor: (seconds: number) => onLine(line, seconds),
    secondsAt: (intensity: number) => timeOnLine(line, intensity),
  }
  if (sport === 'swim') return goingOn
  if (sport === 'run') {
    const top = sprint ?? usualSprint.run * aerobic
    return top > 1.05 * at.intensity && at.seconds >= 60 ? runSprint(at, aerobic, top) : goingOn
  }
  const top = sprint ?? usualSprint.ride * critical
  return top > 1.05 * at.intensity && at.intensity > critical ? rideSprint(at, critical, top) : goingOn
}
