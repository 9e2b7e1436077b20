import { sportNames } from '../session/sports'
import { sayFitWeakness } from '../words/benchmarks'
import { methodWords, sayCriticalSpeed, sayNumberInput, sayNumberWeakness } from '../words/numbers'
import type { EffortName, Sport } from '../session/document'
import type { Ability, CriticalLine } from './ability'
import { abilityOf, criticalSeconds, intensityOver, runPowerLine, uncertaintyAt } from './ability'
import type { Mark } from './marks'
import type { Standpoint } from './standpoint'
import { rangeOf } from './critical'
import { heartNumbers } from './heart-numbers'
import type { DerivedNumber, NumberField } from './derived-number'
import { isOld } from './age'
import { oxygenCapacityOf, raceEffortsOf, raceLawOf, raceMetres, resolveEffort } from './named-effort'
import { isWithinOxygenModel, secondsAtCapacity, speedAtCapacity } from './oxygen'

export type { DerivedNumber, NumberField } from './derived-number'

/** Standard deviations in half a 95 % range. */
const within95 = 1.96

/** Half the 95 % range of a race time: of the speed held for it, as the time goes by it. */
const raceUncertainty = (ability: Ability, seconds: number) => within95 * uncertaintyAt(ability, seconds) * seconds

/** How far apart runners of one oxygen capacity are in what they can keep up of it, as a share. */
const oxygenSpread = 0.03

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
      uncertainty: capacity * oxygenSpread * within95,
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
    yield { ...common, ...methodWords.raceLaw, name, value: seconds, unit: 's', uncertainty: raceUncertainty(ability, seconds) }
    const byOxygen = capacity === null ? null : secondsAtCapacity(capacity, metres)
    if (byOxygen !== null && isWithinOxygenModel(byOxygen)) yield { ...common, ...methodWords.oxygen, name, value: byOxygen, unit: 's' }
  }
  if (sport !== 'run') return
  const hour = ability.intensityFor(3600)
  yield {
    ...common,
    ...methodWords.raceLawHour,
    name: 'threshold',
    value: hour,
    unit: 'm/s',
    uncertainty: within95 * uncertaintyAt(ability, 3600) * hour,
  }
  if (capacity !== null)
    yield { ...common, ...methodWords.oxygenHour, name: 'threshold', value: speedAtCapacity(capacity, 3600), unit: 'm/s' }
}

const markWords = (measure: 'speed' | 'power', { seconds, intensity, date }: Mark) =>
  effortWords({ seconds, date, ...(measure === 'power' ? { watts: intensity } : { metres: seconds * intensity }) })

/** Half a 95 % range, and whether it is wider than the value itself. */
function sure(value: number, error: number | null, trials: number): { uncertainty?: number; isHardlyKnown: boolean } {
  const range = rangeOf(error, trials)
  return range === null ? { isHardlyKnown: false } : { uncertainty: range, isHardlyKnown: 2 * range > value }
}

function fitNumbers(sport: Sport, measure: 'speed' | 'power', { fit, trials }: CriticalLine): DerivedNumber[] {
  const common = {
    ...(sport === 'swim' ? methodWords.criticalSwim : methodWords.criticalLine),
    sport,
    inputs: trials.map(mark => markWords(measure, mark)),
    date: youngest(trials),
  }
  const number = (
    name: string,
    unit: DerivedNumber['unit'],
    value: number,
    error: number | null,
    field: NumberField | undefined,
  ): DerivedNumber => {
    const { isHardlyKnown, ...range } = sure(value, error, trials.length)
    const weaknesses = [...(isHardlyKnown ? [sayNumberWeakness('hardly-known')] : []), ...fit.weaknesses.map(sayFitWeakness)]
    return {
      ...common,
      name,
      value,
      unit,
      ...range,
      ...(weaknesses.length > 0 ? { weakness: weaknesses.join('; ') } : {}),
      ...(field === undefined ? {} : { field }),
    }
  }
  const { critical, criticalError, reserve, reserveError } = fit
  if (measure === 'power') {
    const holder = sport as 'run' | 'ride'
    return [
      number('critical power', 'W', critical, criticalError, `${holder}.criticalPower`),
      number("W'", 'J', reserve, reserveError, `${holder}.wPrime`),
    ]
  }
  const isSwim = sport === 'swim'
  return [
    number(sayCriticalSpeed(sport), 'm/s', critical, criticalError, isSwim ? 'swim.criticalSpeed' : 'run.criticalSpeed'),
    number("D'", 'm', reserve, reserveError, isSwim ? undefined : 'run.dPrime'),
  ]
}

function* criticalNumbers(standpoint: Standpoint): Generator<DerivedNumber> {
  for (const sport of sportNames) {
    const line = abilityOf(standpoint, sport)?.line
    if (line) yield* fitNumbers(sport, sport === 'ride' ? 'power' : 'speed', line)
  }
  const onFoot = runPowerLine(standpoint)
  if (onFoot) yield* fitNumbers('run', 'power', onFoot)
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
      inputs: ability.marks.map(mark => markWords(sport === 'ride' ? 'power' : 'speed', mark)),
      date: youngest(ability.marks),
      uncertainty: within95 * uncertaintyAt(ability, criticalSeconds) * ability.critical,
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
