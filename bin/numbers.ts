import type { Standpoint } from '../core/athlete/standpoint'
import { derivedNumbers } from '../core/athlete/numbers'
import type { DerivedNumber } from '../core/athlete/numbers'
import { zoneNumbers } from '../core/athlete/zone-numbers'
import { forecastOf, nudgePicture } from '../core/forecast/forecast'
import { roundInterval, unknown } from '../core/reckon/interval'
import type { Session } from '../core/session/document'
import type { WatchProfile } from '../core/wrist/program/profile'

const significant = (value: number) => Number(value.toPrecision(5))

/** Every derived number as the command line gives it. */
export function numbersOf(standpoint: Standpoint) {
  return [...derivedNumbers(standpoint), ...zoneNumbers(standpoint)].map(
    ({ name, sport, value, unit, method, source, inputs, uncertainty, date, isAged, weakness }: DerivedNumber) => ({
      name,
      sport,
      value: significant(value),
      unit,
      method,
      source,
      inputs,
      ...(uncertainty === undefined ? {} : { uncertainty: Number(uncertainty.toPrecision(2)) }),
      ...(date === undefined ? {} : { date }),
      ...(isAged ? { isAged } : {}),
      ...(weakness === undefined ? {} : { weakness }),
    }),
  )
}

/** The forecast of nudges as the command line gives it. */
export function nudgesOf(session: Session, standpoint: Standpoint, watch: WatchProfile, seed: number, runs: number) {
  const { forecast, quiet } = nudgePicture(session, standpoint, watch, { seed, runs })
  return { perStep: forecast.perStep, total: forecast.total, quietBand: quiet.main }
}

const decimals = (value: number, count: number) => Number(value.toFixed(count))

/** What a session does, as the command line gives it. */
export function forecastFor(session: Session, standpoint: Standpoint) {
  const { used, heart, reserveLeast, load, leftOut, proposals, missing, message } = forecastOf(session, standpoint)
  const peak = heart && roundInterval({ low: heart.highest.low, likely: heart.highest.bpm, high: heart.highest.high }, 0)
  return {
    level: used?.level ?? null,
    used: used ? roundInterval(used.used, 3) : unknown,
    effort: used ? roundInterval(used.effort, 1) : unknown,
    heart: peak && { peak },
    reserveLeast: reserveLeast === null ? null : decimals(reserveLeast, 3),
    load: { sessionEffort: roundInterval(load.sessionEffort, 0), heartRateImpulse: roundInterval(load.heartRateImpulse, 0) },
    leftOut,
    proposals: proposals.map(({ kind, value, unit, level, used: share }) => ({ kind, value, unit, level, used: decimals(share, 3) })),
    missing: missing.map(({ code }) => code),
    message,
  }
}
