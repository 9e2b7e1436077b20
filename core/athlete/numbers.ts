import { sportNames } from '../session/sports'
import { sayFitWeakness } from '../words/benchmarks'
import { methodWords, sayCriticalSpeed, sayNumberInput, sayNumberWeakness } from '../words/numbers'
import type { EffortName, Sport } from '../session/document'
import { abilityOf, intensityOver } from './ability'
import type { Effort } from './athlete'
import type { Standpoint } from './standpoint'
import type { CriticalFit } from './critical'
import { fitCritical, isCriticalTrial } from './critical'
import { heartNumbers } from './heart-numbers'
import type { DerivedNumber } from './derived-number'
import { isOld } from './age'
import { oxygenCapacityOf, raceEffortsOf, raceLawOf, raceMetres, resolveEffort } from './named-effort'
import { secondsAtCapacity, speedAtCapacity } from './oxygen'

export type { DerivedNumber, NumberField } from './derived-number'

/** A race time is as sure as the day, about 1 %, and the exponent, which may be 0.02 off. */
const raceUncertainty = (seconds: number, metres: number, known: readonly { metres: number }[]) => {
  const away = Math.min(...known.map(effort => Math.abs(Math.log(metres / effort.metres))))
  return seconds * (0.01 + 0.02 * away)
}

const effortWords = (effort: { metres?: number; watts?: number; seconds: number; date: string }) =>
  sayNumberInput({ code: 'effort', ...effort })

const youngest = (efforts: readonly { date: string }[]) =>
  efforts
    .map(effort => effort.date)
    .sort()
    .at(-1)

function* raceNumbers(standpoint: Standpoint, sport: 'run' | 'swim'): Generator<DerivedNumber> {
  const efforts = raceEffortsOf(standpoint, sport)
  const law = raceLawOf(standpoint, sport)
  const ability = abilityOf(standpoint, sport)
  if (!law || !ability) return
  const inputs = efforts.map(effortWords)
  const common = { sport, inputs, date: youngest(efforts) }
  const clamped = law.clamped
    ? { weakness: sayNumberWeakness('exponent-clamped') }
    : efforts.length === 1
      ? { weakness: sayNumberWeakness('exponent-customary') }
      : {}
  yield { ...common, ...methodWords.raceLaw, ...clamped, name: 'exponent of race times', value: law.exponent, unit: '1' }
  const capacity = sport === 'run' ? oxygenCapacityOf(standpoint) : null
  if (capacity !== null)
    yield {
      ...common,
      ...methodWords.oxygen,
      name: 'oxygen capacity as run',
      value: capacity,
      unit: 'ml/kg/min',
      uncertainty: capacity * 0.03,
    }
  const distances =
    sport === 'run'
      ? (Object.entries(raceMetres) as [EffortName, number][])
      : ([
          ['400 m', 400],
          ['1500 m', 1500],
          ['1900 m', 1900],
        ] as const)
  for (const [name, metres] of distances) {
    const seconds = metres / intensityOver(ability, metres)
    yield { ...common, ...methodWords.raceLaw, name, value: seconds, unit: 's', uncertainty: raceUncertainty(seconds, metres, efforts) }
    if (capacity !== null) yield { ...common, ...methodWords.oxygen, name, value: secondsAtCapacity(capacity, metres), unit: 's' }
  }
  if (sport !== 'run') return
  yield { ...common, ...methodWords.raceLawHour, name: 'threshold', value: ability.intensityFor(3600), unit: 'm/s' }
  if (capacity !== null)
    yield { ...common, ...methodWords.oxygenHour, name: 'threshold', value: speedAtCapacity(capacity, 3600), unit: 'm/s' }
}

function fitNumbers(sport: Sport, measure: 'speed' | 'power', fit: CriticalFit, efforts: readonly Effort[]): DerivedNumber[] {
  const common = {
    ...(sport === 'swim' ? methodWords.criticalSwim : methodWords.criticalLine),
    sport,
    inputs: efforts.map(effortWords),
    date: youngest(efforts),
    ...(fit.weaknesses.length > 0 ? { weakness: fit.weaknesses.map(sayFitWeakness).join('; ') } : {}),
  }
  const sure = (error: number | null) => (error === null ? {} : { uncertainty: error })
  if (measure === 'power') {
    return [
      {
        ...common,
        name: 'critical power',
        value: fit.critical,
        unit: 'W',
        ...sure(fit.criticalError),
        field: `${sport as 'run' | 'ride'}.criticalPower`,
      },
      { ...common, name: "W'", value: fit.reserve, unit: 'J', ...sure(fit.reserveError), field: `${sport as 'run' | 'ride'}.wPrime` },
    ]
  }
  const isSwim = sport === 'swim'
  const speed: DerivedNumber = {
    ...common,
    name: sayCriticalSpeed(sport),
    value: fit.critical,
    unit: 'm/s',
    ...sure(fit.criticalError),
    field: isSwim ? 'swim.criticalSpeed' : 'run.criticalSpeed',
  }
  return [
    speed,
    {
      ...common,
      name: "D'",
      value: fit.reserve,
      unit: 'm',
      ...sure(fit.reserveError),
      ...(isSwim ? {} : { field: 'run.dPrime' as const }),
    },
  ]
}

function recentOf(standpoint: Standpoint, fits: (effort: Effort) => boolean): Effort[] {
  const all = (standpoint.athlete.efforts ?? []).filter(fits)
  const isYoung = ({ date }: Effort) => standpoint.day === null || (date <= standpoint.day && !isOld(date, standpoint.day))
  const young = all.filter(isYoung)
  return young.length > 1 ? young : all
}

function* criticalNumbers(standpoint: Standpoint): Generator<DerivedNumber> {
  for (const sport of ['run', 'swim'] as const) {
    const efforts = recentOf(standpoint, effort => effort.sport === sport && effort.metres !== undefined && isCriticalTrial(effort.seconds))
    const reading = fitCritical(efforts.map(effort => ({ seconds: effort.seconds, amount: effort.metres! })))
    if (reading.ok) yield* fitNumbers(sport, 'speed', reading.fit, efforts)
  }
  for (const sport of ['run', 'ride'] as const) {
    const efforts = recentOf(standpoint, effort => effort.sport === sport && effort.watts !== undefined && isCriticalTrial(effort.seconds))
    const reading = fitCritical(efforts.map(effort => ({ seconds: effort.seconds, amount: effort.watts! * effort.seconds })))
    if (reading.ok) yield* fitNumbers(sport, 'power', reading.fit, efforts)
  }
}

/** Critical speed or power where too few marks tell it: what the curve holds for 45 min. */
function* roughCriticals(standpoint: Standpoint): Generator<DerivedNumber> {
  for (const sport of sportNames) {
    const ability = abilityOf(standpoint, sport)
    if (ability?.criticalFrom !== 'one-race') continue
    yield {
      name: sport === 'ride' ? 'critical power' : sayCriticalSpeed(sport),
      sport,
      value: ability.critical,
      unit: sport === 'ride' ? 'W' : 'm/s',
      ...methodWords.curve45,
      inputs: ability.marks.map(({ seconds, intensity, date }) =>
        effortWords({ seconds, date, ...(sport === 'ride' ? { watts: intensity } : { metres: seconds * intensity }) }),
      ),
      date: youngest(ability.marks),
      uncertainty: ability.critical * ability.uncertainty,
      weakness: sayNumberWeakness(ability.marks.length === 1 ? 'one-race' : 'no-trials'),
    }
  }
}

function* shareNumbers(standpoint: Standpoint): Generator<DerivedNumber> {
  for (const sport of sportNames) {
    for (const name of ['steady', 'easy'] as const) {
      const reading = resolveEffort(standpoint, sport, name)
      if (!reading.ok) continue
      const value = (reading.easiest! + reading.hardest!) / 2
      const unit = reading.of === 'power' ? ('W' as const) : ('m/s' as const)
      const { critical } = abilityOf(standpoint, sport)!
      const measured = sayNumberInput(
        sport === 'ride' ? { code: 'critical-power', watts: critical } : { code: 'critical-speed', metresPerSecond: critical },
      )
      yield { name, sport, value, unit, ...methodWords[`${name}Share`], inputs: [measured], uncertainty: value * 0.04 }
    }
  }
}

/**
 * Every number that follows from what the athlete has shown and said, each with its method, source, inputs and what would
 * change it; where schools differ, one entry a school under the same name.
 *
 * @returns no NaN, no infinity, nothing of zero or less; what cannot be told is not in the list
 */
export function derivedNumbers(standpoint: Standpoint): DerivedNumber[] {
  const numbers = [
    ...raceNumbers(standpoint, 'run'),
    ...raceNumbers(standpoint, 'swim'),
    ...criticalNumbers(standpoint),
    ...roughCriticals(standpoint),
    ...shareNumbers(standpoint),
    ...heartNumbers(standpoint),
  ]
  const { day } = standpoint
  const isAged = (date: string | undefined) => day !== null && date !== undefined && isOld(date, day)
  return numbers
    .filter(({ value }) => Number.isFinite(value) && value > 0)
    .map(number => (isAged(number.date) ? { ...number, isAged: true } : number))
}
