import type { Missing } from '../words/missing'
import type { ZoneMethod } from '../words/numbers'
import type { Sport, ZoneTarget } from '../session/document'
import { criticalPowerFor, criticalSpeedFor } from './ability'
import { heartFor } from './heart'
import type { Standpoint } from './standpoint'

/** Shares of critical power or speed where zones begin; custom of this application, editable as own zones. */
const criticalShares = { 3: [0.82, 1], 5: [0.65, 0.82, 0.95, 1.03] } as const
/** Tenths of the maximum heart rate from 50 %, after Edwards (1993). */
const heartShares = [0.6, 0.7, 0.8, 0.9] as const
/** The first of two thresholds where the athlete has none of their own, as a share of the second. */
const firstThreshold = 0.82

export type ZoneBounds = { ok: true; bounds: number[]; method: ZoneMethod } | { ok: false; missing: Missing }

/**
 * Where one zone ends and the next begins, rising: bpm, W or m/s. Zone 1 is open below, the highest open above.
 *
 * @param target `scheme` 3, 5 or `own`; without one the athlete's own zones, else five
 * @source five of heart rate: Edwards (1993); three: Seiler & Kjerland (2006); of critical power and speed: own custom
 */
export function zoneBounds(target: Pick<ZoneTarget, 'of' | 'scheme'>, standpoint: Standpoint, sport: Sport): ZoneBounds {
  const { athlete } = standpoint
  const missing = (what: Missing): ZoneBounds => ({ ok: false, missing: what })
  const own = athlete.zones?.[sport]?.[target.of]
  if (own && (target.scheme === undefined || target.scheme === 'own')) return { ok: true, bounds: own, method: 'own' }
  if (target.scheme === 'own') return missing({ code: 'own-zones', of: target.of, sport })
  const scheme = target.scheme ?? 5
  if (target.of === 'heart-rate') return heartBounds(scheme, standpoint, sport)
  const critical = target.of === 'power' ? criticalPowerFor(standpoint, sport) : criticalSpeedFor(standpoint, sport)
  if (critical === undefined) return missing({ code: target.of === 'power' ? 'critical-power' : 'critical-speed', sport })
  return { ok: true, bounds: criticalShares[scheme].map(share => share * critical), method: 'critical-shares' }
}

function heartBounds(scheme: 3 | 5, standpoint: Standpoint, sport: Sport): ZoneBounds {
  const { max, threshold, aerobicThreshold } = heartFor(standpoint, sport)
  if (scheme === 5) {
    return max === undefined
      ? { ok: false, missing: { code: 'heart-max', sport } }
      : { ok: true, bounds: heartShares.map(share => share * max), method: 'heart-tenths' }
  }
  if (threshold === undefined) return { ok: false, missing: { code: 'heart-threshold', sport } }
  return {
    ok: true,
    bounds: [aerobicThreshold ?? threshold * firstThreshold, threshold],
    method: aerobicThreshold === undefined ? 'threshold-and-share' : 'two-thresholds',
  }
}

/** Own zones from typed bounds: rising, more than zero, at most eight; or what is wrong with them. */
export function ownZones(bounds: readonly number[]): { ok: true; bounds: number[] } | { ok: false; problem: string } {
  if (bounds.length === 0 || bounds.length > 8) return { ok: false, problem: 'one to eight bounds between zones' }
  if (bounds.some(bound => !(bound > 0) || !Number.isFinite(bound))) return { ok: false, problem: 'each bound is a number above zero' }
  if (bounds.some((bound, index) => index > 0 && bound <= bounds[index - 1]!))
    return { ok: false, problem: 'each bound is harder than the one before' }
  return { ok: true, bounds: [...bounds] }
}
