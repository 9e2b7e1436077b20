import type { Standpoint } from '../core/athlete/standpoint'
import { derivedNumbers } from '../core/athlete/numbers'
import type { DerivedNumber } from '../core/athlete/numbers'
import { nudgePicture } from '../core/forecast/forecast'
import type { Session } from '../core/session/document'
import type { WatchProfile } from '../core/wrist/program/profile'

const significant = (value: number) => Number(value.toPrecision(5))

/** Every derived number as the command line gives it. */
export function numbersOf(standpoint: Standpoint) {
  return derivedNumbers(standpoint).map(
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
