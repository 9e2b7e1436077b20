import { sports } from '../session/sports'
import type { Missing } from '../words/missing'
import type { Band, BandTarget, EffortTarget, PlaceKind, Sport, Target, ZoneTarget } from '../session/document'
import { isBandTarget, isEffortTarget } from '../session/document'
import { isPaceUnit, metresOfPaceUnit, metresPerSecondOf, paceToSpeed, speedToPace } from '../quantity/intensity'
import type { Standpoint } from './standpoint'
import { criticalPowerFor, criticalSpeedFor } from './ability'
import { heartFor } from './heart'
import type { Ends } from '../quantity/band'
import { resolveEffort } from './named-effort'
import { zoneBounds } from './zones'
import { speedOnGrade } from './grade'
import { quietRoom } from './quiet-room'
import type { Nudging } from '../nudge/nudging'
import { usualNudging } from '../nudge/nudging'

export type ResolvedMeasure = 'pace' | 'heart-rate' | 'power' | 'cadence' | 'rpe'
export type ResolvedUnit = 'm/s' | 'bpm' | 'W' | 'rpm' | 'spm' | 'of 10'

/** A target in numbers a watch can hold. `point` keeps the middle as said, before the band school gave it room. */
export interface ResolvedTarget {
  of: ResolvedMeasure
  unit: ResolvedUnit
  easiest?: number
  hardest?: number
  to?: { easiest?: number; hardest?: number }
  /** The ends as said, without the school's room. */
  said: Ends & { to?: Ends }
  over?: number
}

export type Resolution = { ok: true; target: ResolvedTarget } | { ok: false; missing: Missing }

export interface ResolveContext {
  sport: Sport
  /** The step's own distance, for `400 m in 1:32`. */
  stepMetres?: number
  /** How the watch judges; the usual way where none is named. */
  nudging?: Nudging | undefined
  /** Where it is done. */
  place?: PlaceKind | undefined
  /** The step's grade as rise over run: what is meant as effort is slower uphill. */
  slope?: number
}

interface Plain extends Band {
  of: ResolvedMeasure
  unit: ResolvedUnit
}
type PlainResolution = { ok: true; band: Plain } | { ok: false; missing: Missing }

function scaled({ easiest, hardest }: Band, by: (value: number) => number): Band {
  const band: Band = {}
  if (easiest !== undefined) band.easiest = by(easiest)
  if (hardest !== undefined) band.hardest = by(hardest)
  return band
}

const missing = (what: Missing): PlainResolution => ({ ok: false, missing: what })

function resolveBand(
  target: Pick<BandTarget, 'of' | 'unit'>,
  band: Band,
  standpoint: Standpoint,
  context: ResolveContext,
): PlainResolution {
  const { unit } = target
  const { sport } = context
  const plain = (of: ResolvedMeasure, to: ResolvedUnit, by: (value: number) => number): PlainResolution => ({
    ok: true,
    band: Object.assign(scaled(band, by), { of, unit: to }),
  })
  if (isPaceUnit(unit)) {
    if (unit === 's/step' && context.stepMetres === undefined) return missing({ code: 'step-distance' })
    return plain('pace', 'm/s', value => paceToSpeed(value, unit, context.stepMetres)!)
  }
  const heart = heartFor(standpoint, sport)
  switch (unit) {
    case 'km/h':
    case 'mi/h':
    case 'm/s':
      return plain('pace', 'm/s', value => value * metresPerSecondOf[unit])
    case '%CS': {
      const speed = criticalSpeedFor(standpoint, sport)
      return speed === undefined ? missing({ code: 'critical-speed', sport }) : plain('pace', 'm/s', value => (speed * value) / 100)
    }
    case 'bpm':
      return plain('heart-rate', 'bpm', value => value)
    case '%HRmax':
      return heart.max === undefined
        ? missing({ code: 'heart-max', sport })
        : plain('heart-rate', 'bpm', value => (heart.max! * value) / 100)
    case '%LTHR':
      return heart.threshold === undefined
        ? missing({ code: 'heart-threshold', sport })
        : plain('heart-rate', 'bpm', value => (heart.threshold! * value) / 100)
    case '%HRR': {
      if (heart.max === undefined || heart.rest === undefined) return missing({ code: 'heart-reserve', sport })
      return plain('heart-rate', 'bpm', value => heart.rest! + ((heart.max! - heart.rest!) * value) / 100)
    }
    case 'W':
      return plain('power', 'W', value => value)
    case '%CP': {
      const power = criticalPowerFor(standpoint, sport)
      return power === undefined ? missing({ code: 'critical-power', sport }) : plain('power', 'W', value => (power * value) / 100)
    }
    case 'rpm':
      return plain('cadence', 'rpm', value => value)
    case 'spm':
      return plain('cadence', 'spm', value => value)
    case 'of 10':
      return plain('rpe', 'of 10', value => value)
  }
}

function resolveZone(target: Pick<ZoneTarget, 'of' | 'scheme' | 'zone'>, standpoint: Standpoint, sport: Sport): PlainResolution {
  const found = zoneBounds(target, standpoint, sport)
  if (!found.ok) return missing(found.missing)
  const { bounds } = found
  const [low, high] = Array.isArray(target.zone) ? target.zone : [target.zone, target.zone]
  if (low > bounds.length + 1) return missing({ code: 'zone', zone: low, zones: bounds.length + 1 })
  const units = { 'heart-rate': 'bpm', 'power': 'W', 'pace': 'm/s' } as const
  const easiest = bounds[low - 2]
  const hardest = bounds[high - 1]
  if (easiest === undefined && hardest === undefined) return missing({ code: 'bounded-zones' })
  return {
    ok: true,
    band: {
      of: target.of,
      unit: units[target.of],
      ...(easiest === undefined ? {} : { easiest }),
      ...(hardest === undefined ? {} : { hardest }),
    },
  }
}

function resolveNamed(target: Pick<EffortTarget, 'name' | 'offset'>, standpoint: Standpoint, context: ResolveContext): PlainResolution {
  const reading = resolveEffort(standpoint, context.sport, target.name)
  if (!reading.ok) return missing(reading.missing)
  const { offset } = target
  const shift = (value: number): number => {
    if (!offset) return value
    if (offset.unit === '%') return value * (1 + offset.value / 100)
    const seconds = speedToPace(value, offset.unit) + offset.value
    return metresOfPaceUnit[offset.unit] / seconds
  }
  if (reading.of === 'power' && offset && offset.unit !== '%') return missing({ code: 'percent-offset' })
  const band = scaled(reading, shift)
  if ([band.easiest, band.hardest].some(value => value !== undefined && !(value > 0 && Number.isFinite(value))))
    return missing({ code: 'smaller-offset' })
  return { ok: true, band: { of: reading.of, unit: reading.of === 'power' ? 'W' : 'm/s', ...band } }
}

interface Room {
  easier: (value: number) => number
  harder: (value: number) => number
}

function evenRoom(of: ResolvedMeasure, sport: Sport, easier: number | undefined, harder: number | undefined): Room {
  if (of === 'pace') {
    const { paceMetres: metres, evenSeconds: width } = sports[sport]
    return {
      easier: value => metres / (metres / value + (easier ?? width)),
      harder: value => metres / Math.max(metres / value - (harder ?? width), (metres / value) * 0.5),
    }
  }
  const width = of === 'power' ? 10 : of === 'heart-rate' ? 4 : of === 'cadence' ? 3 : 0.5
  return { easier: value => value - (easier ?? width), harder: value => value + (harder ?? width) }
}

function shareRoom(easier: number, harder: number): Room {
  return { easier: value => value * (1 - easier), harder: value => value * (1 + harder) }
}

function schoolRoom(standpoint: Standpoint, of: ResolvedMeasure, context: ResolveContext, over: number | undefined): Room {
  const school = standpoint.athlete.schools?.band ?? { kind: 'quiet' as const }
  switch (school.kind) {
    case 'lean-fast':
      return shareRoom((school.easier ?? 0.75) / 100, (school.harder ?? 1.5) / 100)
    case 'percent':
      return shareRoom((school.easier ?? 3) / 100, (school.harder ?? 3) / 100)
    case 'even':
      return evenRoom(of, context.sport, school.easier, school.harder)
    case 'quiet': {
      if (of === 'rpe') return evenRoom(of, context.sport, undefined, undefined)
      const { sport, place, nudging = usualNudging } = context
      const { share } = quietRoom(standpoint.athlete, of, { sport, place, nudging, over })
      return shareRoom(share, share)
    }
  }
}

function giveRoom(give: NonNullable<Target['give']>, of: ResolvedMeasure, context: ResolveContext): Room {
  const { unit } = give
  const [easier, harder] = [give.easier ?? 0, give.harder ?? 0]
  if (isPaceUnit(unit) && of === 'pace') {
    const metres = unit === 's/step' ? (context.stepMetres ?? 1000) : metresOfPaceUnit[unit]
    return {
      easier: value => metres / (metres / value + easier),
      harder: value => metres / Math.max(metres / value - harder, (metres / value) * 0.5),
    }
  }
  if (unit.startsWith('%')) return shareRoom(easier / 100, harder / 100)
  const factor = unit in metresPerSecondOf ? metresPerSecondOf[unit as keyof typeof metresPerSecondOf] : 1
  return { easier: value => value - easier * factor, harder: value => value + harder * factor }
}

function withRoom(band: Band, room: Room | null): Band {
  if (!room || band.easiest === undefined || band.hardest === undefined) return band
  return { easiest: Math.max(room.easier(band.easiest), Number.MIN_VALUE), hardest: room.harder(band.hardest) }
}

/** On a hill a run's effort, percentage or zone is the pace that costs as much there; a pace said as a pace stays as it is. */
function onTheHill(target: Target, { slope, sport }: ResolveContext): (resolution: PlainResolution) => PlainResolution {
  const isEffort = isEffortTarget(target) || !isBandTarget(target) || target.unit === '%CS'
  if (!slope || !sports[sport].isOnFoot || !isEffort) return resolution => resolution
  return resolution =>
    resolution.ok && resolution.band.of === 'pace'
      ? { ok: true, band: { ...resolution.band, ...scaled(resolution.band, value => speedOnGrade(value, slope)) } }
      : resolution
}

/**
 * A target of any kind in numbers: speeds in m/s, W, bpm, rpm or spm, or the athlete's number that is missing.
 *
 * One point gets the room of its own `give`, else of the athlete's band school; a range said as a range gets none
 * unless it has a `give`.
 *
 * @returns never a NaN, an infinity or a negative number
 */
export function resolveTarget(target: Target, standpoint: Standpoint, context: ResolveContext): Resolution {
  const uphill = onTheHill(target, context)
  const resolve = (part: Band): PlainResolution => uphill(resolveFlat(part))
  const resolveFlat = (part: Band): PlainResolution => {
    if (isEffortTarget(target)) return resolveNamed(part as EffortTarget, standpoint, context)
    if (isBandTarget(target)) return resolveBand(target, part, standpoint, context)
    return resolveZone({ of: target.of, ...(part as unknown as Pick<ZoneTarget, 'zone' | 'scheme'>) }, standpoint, context.sport)
  }
  const first = resolve(target as Band)
  if (!first.ok) return first
  const goal = target.to ? resolve(target.to as Band) : undefined
  if (goal && !goal.ok) return goal
  const { of, unit, easiest, hardest } = first.band
  const roomFor = (band: Band): Room | null => {
    if (target.give) return giveRoom(target.give, of, context)
    return band.easiest === band.hardest ? schoolRoom(standpoint, of, context, target.over) : null
  }
  const said = scaled({ easiest, hardest }, value => value)
  const resolved: ResolvedTarget = { of, unit, ...withRoom(said, roomFor(said)), said }
  if (goal) {
    const { easiest: toEasiest, hardest: toHardest } = goal.band
    const to: Band = {
      ...(toEasiest === undefined ? {} : { easiest: toEasiest }),
      ...(toHardest === undefined ? {} : { hardest: toHardest }),
    }
    resolved.to = withRoom(to, roomFor(to))
    resolved.said.to = to
  }
  if (target.over !== undefined) resolved.over = target.over
  return { ok: true, target: resolved }
}
