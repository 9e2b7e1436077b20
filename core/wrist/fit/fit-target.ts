import { metresOfEnd } from '../../session/ends'
import { sayInstead, sayLoss } from '../../words/losses'
import { unitsOf } from '../../athlete/athlete'
import { heartFor, wholeHeart } from '../../athlete/heart'
import { heartAt } from '../../physiology/heart'
import { slopeOf } from '../../athlete/grade'
import { resolveTarget } from '../../athlete/resolve'
import { roundTarget } from '../../athlete/round-target'
import type { ResolvedMeasure, ResolvedTarget } from '../../athlete/resolve'
import { criticalOf, effortOfShare, shareOfCritical } from '../../athlete/critical-share'
import { printTarget } from '../../script/print-target'
import type { Band, PlaceKind, Sport, Step, Target } from '../../session/document'
import type { FitContext, Way } from './loss'
import { lose } from './loss'
import type { WatchProfile } from '../program/profile'
import type { ProgramTarget } from '../program/program'
import { paceReadingFor, sayTarget } from '../../athlete/say-target'

/** Whether a watch leads by a measure in this sport and place. */
export function allows(profile: WatchProfile, sport: Sport, place: PlaceKind | undefined, of: ResolvedMeasure): boolean {
  return profile.targets.some(entry => {
    const places = entry.place === undefined ? null : Array.isArray(entry.place) ? entry.place : [entry.place]
    return entry.sport === sport && entry.of.includes(of) && (places === null || place === undefined || places.includes(place))
  })
}

/** Seconds below which a heart rate tells nothing of the step it is in; above critical it goes to its maximum and tells nothing either. */
const heartNeedsSeconds = 150

/** What a measure is best replaced by, the nearest to the step's point first. */
const nearest: Readonly<Record<ResolvedMeasure, ResolvedMeasure[]>> = {
  'pace': ['power', 'heart-rate', 'rpe'],
  'power': ['pace', 'heart-rate', 'rpe'],
  'heart-rate': ['rpe', 'power', 'pace'],
  'cadence': [],
  'rpe': ['heart-rate'],
}

/** Above this share of critical a heart rate, long at its maximum, is not even an offer. */
const heartTells = 1.15

/** A value of another measure at a share of critical; null where a number of the athlete is missing. */
function valueAt(share: number, of: ResolvedMeasure, context: FitContext): number | null {
  const { standpoint, sport } = context
  const { speed, power } = criticalOf(standpoint, sport)
  const heart = wholeHeart(standpoint, sport)
  switch (of) {
    case 'pace':
      return speed === undefined ? null : share * speed
    case 'power':
      return power === undefined ? null : share * power
    case 'heart-rate':
      return heart === null || share > heartTells ? null : heartAt(share, heart)
    case 'rpe':
      return effortOfShare(share)
    case 'cadence':
      return null
  }
}

/** Room on each side of a value that was only converted: no narrower than the conversion is true. */
const convertedRoom: Readonly<Record<ResolvedMeasure, number>> = {
  'pace': 0.03,
  'power': 0.04,
  'heart-rate': 0.03,
  'rpe': 0.5,
  'cadence': 0,
}
const unitOf = { 'pace': 'm/s', 'power': 'W', 'heart-rate': 'bpm', 'rpe': 'of 10', 'cadence': 'rpm' } as const

function converted(target: ResolvedTarget, to: ResolvedMeasure, step: Step, context: FitContext): ProgramTarget | null {
  const convert = ({ easiest, hardest }: Band): Band | null => {
    const ends = [easiest, hardest].map(value => {
      if (value === undefined) return undefined
      const share = shareOfCritical(value, target.unit, step, context.standpoint, context.sport)
      return share === null ? null : valueAt(share, to, context)
    })
    if (ends.some(value => value === null)) return null
    const [low, high] = ends as (number | undefined)[]
    const middle = low !== undefined && high !== undefined ? (low + high) / 2 : null
    const room = to === 'rpe' ? convertedRoom.rpe : (middle ?? low ?? high ?? 0) * convertedRoom[to]
    const { max = Infinity } = heartFor(context.standpoint, context.sport)
    const bounded = (value: number) =>
      to === 'rpe' ? Math.min(10, Math.max(0, Math.round(value * 2) / 2)) : to === 'heart-rate' ? Math.min(max, value) : value
    return {
      ...(low === undefined ? {} : { easiest: bounded(middle === null ? low : Math.min(low, middle - room)) }),
      ...(high === undefined ? {} : { hardest: bounded(middle === null ? high : Math.max(high, middle + room)) }),
    }
  }
  const band = convert(target)
  const end = target.to ? convert(target.to) : null
  if (!band || (target.to && !end)) return null
  return roundTarget({ of: to, unit: unitOf[to], ...band, ...(end ? { to: end } : {}) })
}

const noTarget: Way = { way: 'none', instead: sayInstead({ code: 'no-target' }) }

/** The measures that a watch leads by and the target can be told in, the nearest first, and the ways they are offered. */
function instead(target: ResolvedTarget, step: Step, kind: 'target' | 'also', path: string, context: FitContext) {
  const { sport, place, profile, standpoint } = context
  const { of } = target
  const isShort = (context.likely(path).seconds ?? Infinity) < heartNeedsSeconds
  const share = shareOfCritical(target.hardest ?? target.easiest!, target.unit, step, standpoint, sport)
  const isAbove = of !== 'heart-rate' && share !== null && share > 1
  const isPoorlyTold = isShort || isAbove
  const measures = kind === 'also' ? [] : nearest[of].filter(measure => allows(profile, sport, place?.kind, measure) && measure !== of)
  const open = measures.flatMap(measure => {
    const found = converted(target, measure, step, context)
    return found ? [{ measure, found }] : []
  })
  if (isPoorlyTold) open.sort((a, b) => Number(a.measure === 'heart-rate') - Number(b.measure === 'heart-rate'))
  const doubtOf = (measure: ResolvedMeasure) => (measure !== 'heart-rate' ? 'none' : isShort ? 'short' : isAbove ? 'near-maximum' : 'none')
  const reading = paceReadingFor(sport, unitsOf(standpoint.athlete)[sport])
  const ways: Way[] = open.map(({ measure, found }) => ({
    way: measure,
    instead: sayInstead({ code: 'measure', target: sayTarget(found, reading), doubt: doubtOf(measure) }),
  }))
  if (isPoorlyTold && open[0]?.measure === 'heart-rate') ways.unshift(noTarget)
  else ways.push(noTarget)
  return { open, ways }
}

/**
 * A target in frozen numbers, as a watch holds it. One that the watch does not lead by is replaced by the nearest measure it
 * does, converted by way of the share of critical intensity, or left out; both are said as a loss.
 *
 * @param kind `also` is shown and scored, never nudged, and is left out where the watch does not know it
 */
export function fitTarget(
  target: Target | undefined,
  step: Step,
  kind: 'target' | 'also',
  path: string,
  context: FitContext,
): ProgramTarget | undefined {
  if (!target) return undefined
  const { sport, place, profile } = context
  const resolution = resolveTarget(target, context.standpoint, {
    sport,
    stepMetres: metresOfEnd(step.end),
    nudging: profile,
    place: place?.kind,
    slope: slopeOf(step.grade),
  })
  const words = printTarget(target)
  if (!resolution.ok) {
    const what = sayLoss({ code: 'target-unresolved', target: words, missing: resolution.missing })
    lose(context, { path, kind, what }, [noTarget])
    return undefined
  }
  const { of } = resolution.target
  if (allows(profile, sport, place?.kind, of)) return roundTarget(resolution.target)
  const { open, ways } = instead(resolution.target, step, kind, path, context)
  const way = lose(
    context,
    {
      path,
      kind,
      what: sayLoss({ code: 'measure', target: words, of, sport, isPlaced: place !== undefined }),
      about: `${kind} ${of} ${sport}${place ? ` ${place.kind}` : ''}`,
    },
    ways,
  )
  return open.find(entry => entry.measure === way)?.found
}
