import { metresPer, toMetres } from '../../quantity/distance'
import type { DistanceUnit, PaceUnit } from '../../quantity/units'
import type { BandTarget, End, Step } from '../../session/document'
import { sports } from '../../session/sports'
import { endOf } from '../token/ends'
import { readQuantity } from '../token/quantities'
import type { Noticed, Scanner, Setting } from '../token/scanner'
import type { Clock, Token } from './token'

interface BareContext {
  setting: Setting
  /** The unit that a stated sum gives. */
  unit: 'mi' | 'km' | 'min' | null
  /** It stands between others, where a bare number is seconds. */
  isPause: boolean
  /** How long the work before it is, where that is sure. */
  before: End | null
  raw: string
  token: Token
}

interface BareReading {
  end: End
  doubt?: Step['doubt']
  noticed: Noticed[]
}

/** Longest pause that a bare number counts in seconds. */
const longestPause = 180

/** A number without a unit: by a stated sum, by its place, by its size. */
export function bareLength(value: number, context: BareContext): BareReading {
  const { setting, unit, isPause, before, raw, token } = context
  const { from, to } = token
  if (unit === 'min' && value <= 300) return { end: { on: 'time', seconds: value * 60 }, noticed: [] }
  if ((unit === 'mi' || unit === 'km') && value < 100) return { end: { on: 'distance', value, unit }, noticed: [] }
  if (before?.on === 'time' && before.seconds % 60 === 0 && value < 20 && value * 60 <= before.seconds)
    return {
      end: { on: 'time', seconds: value * 60 },
      noticed: [{ from: token.from, to: token.to, level: 'note', code: 'bare-number', readAs: `${value} min`, fixes: [] }],
    }
  const isDistance = (setting.sport === 'run' && value >= 100) || (setting.sport === 'swim' && value >= 25 && !isPause)
  if (isPause && !isDistance && value >= 10 && value <= longestPause) {
    const end: End = { on: 'time', seconds: value }
    return { end, noticed: [{ from, to, level: 'note', code: 'bare-number', readAs: `${value} s`, fixes: [] }] }
  }
  const words = String(value)
  const scanner: Scanner = { raw: words, text: words, setting, strict: false, at: 0, noticed: [] }
  const reading = readQuantity(scanner, 'guess')!
  const noticed = scanner.noticed.map(one => ({ ...one, from, to }))
  const doubt = reading.doubt && { ...reading.doubt, said: raw.slice(from, to).trim() }
  return { end: endOf(reading.quantity), ...(doubt ? { doubt } : {}), noticed }
}

/** Seconds per kilometre that somebody runs: from a record to a hike. */
export const runnable = { fastest: 140, slowest: 720 }

/** Seconds per 100 m that somebody swims. */
const swimmable = { fastest: 46, slowest: 300 }

/** A pace that few keep up: a short step's own time is likelier, in seconds per kilometre. */
const fastAsPace = 210
const isRunnable = (perKm: number) => perKm >= runnable.fastest && perKm <= runnable.slowest

const unitFor = (setting: Setting, unit: DistanceUnit | undefined): PaceUnit => {
  if (setting.sport !== 'run' || unit === undefined) return setting.paceUnit
  return unit === 'mi' ? 's/mi' : unit === 'km' ? 's/km' : setting.paceUnit
}

/** A time beside a step: its pace, or how long the step itself takes, whichever somebody can do. */
export function resolveClock(
  clock: Clock,
  end: End,
  setting: Setting,
  token: Token,
  raw: string,
): { target: BandTarget; noticed: Noticed[] } {
  const length = end.on === 'distance' ? end : undefined
  const band = { easiest: clock.easiest, hardest: clock.hardest }
  const unit = unitFor(setting, length?.unit)
  const metres = length && toMetres(length)
  const { from, to } = token
  const own: BandTarget = { of: 'pace', unit: 's/step', ...band }
  if (clock.isOwn && metres) return { target: own, noticed: [] }
  const paceMetres = unit === 's/mi' ? metresPer.mi : unit === 's/km' ? 1000 : 100
  const isPacy = (clock.hardest * 1000) / paceMetres >= runnable.fastest
  const isOwn =
    setting.sport === 'run' &&
    metres !== undefined &&
    !isPacy &&
    (clock.hardest * 1000) / metres >= runnable.fastest &&
    (clock.hardest * 1000) / metres <= runnable.slowest
  const isEither = setting.sport === 'run' && metres !== undefined && isPacy && isRunnable((clock.hardest * 1000) / metres)
  if (isEither && metres !== paceMetres && metres <= 1600 && (clock.hardest * 1000) / paceMetres < fastAsPace) {
    const said = raw.slice(from, to).trim()
    const readAs = `the time for each ${length!.value} ${length!.unit}`
    const fixes = [{ label: `pace per ${unit.slice(2)}`, replacement: `${said} ${unit.slice(1)}` }]
    return { target: own, noticed: [{ from, to, level: 'ask', code: 'own-time', readAs, fixes }] }
  }
  if (isOwn)
    return {
      target: own,
      noticed: [{ from, to, level: 'note', code: 'own-time', readAs: `the time for each ${length!.value} ${length!.unit}`, fixes: [] }],
    }
  const isSwim = sports[setting.sport].paceMetres === 100
  const perHundred = metres === undefined ? null : (clock.hardest * 100) / metres
  if (isSwim && perHundred !== null && clock.hardest < 58 && perHundred >= swimmable.fastest && perHundred <= swimmable.slowest)
    return {
      target: own,
      noticed: [{ from, to, level: 'ask', code: 'own-time', readAs: `the time for each ${length!.value} ${length!.unit}`, fixes: [] }],
    }
  const fixes = isSwim ? [{ label: `pace per ${unit.slice(2)}`, replacement: `${raw.slice(from, to)} ${unit.slice(1)}` }] : []
  return {
    target: { of: 'pace', unit: unit as Exclude<PaceUnit, 's/step'>, ...band },
    noticed: [
      {
        from,
        to,
        level: isSwim || (setting.sport === 'run' && !isPacy) ? 'ask' : 'note',
        code: 'pace-unit',
        readAs: `per ${unit.slice(2)}`,
        fixes,
      },
    ],
  }
}
