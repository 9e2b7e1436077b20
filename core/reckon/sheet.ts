import { isOpenEnd } from '../session/ends'
import type { ShownTarget } from '../athlete/say-target'
import type { Standpoint } from '../athlete/standpoint'
import { shareOfCritical } from '../athlete/critical-share'
import { unitsOf } from '../athlete/athlete'
import { metresPer, sayDistance } from '../quantity/distance'
import type { DistanceUnit } from '../quantity/units'
import { formatTime, sayDuration } from '../quantity/time'
import { printBlockHeader, printStep } from '../script/print'
import { itemAt, sportAt } from '../session/item-path'
import type { Block, Grade, Item, Session, Sport, Step } from '../session/document'
import { remembered } from '../session/settled'
import { paceReadingFor, sayTarget } from '../athlete/say-target'
import { add, zero } from './interval'
import type { ReckonedStep, Reckoning } from './reckon'
import { goalOf } from './reckon'

/** A row of the cue sheet: one item of the session, with what stands beside its words. */
export interface SheetRow {
  path: string
  depth: number
  kind: Item['kind']
  words: string
  /** Seconds and metres at which it first begins, likely; null where not known or carried out never. */
  startsAt: number | null
  metresAt: number | null
  /** The metres in the unit of the sheet, without it. */
  distanceAt: string
  comesTo: string
  /** The step's band on the sheet's one axis of effort, in percent of critical; null where open. */
  band: { low: number; high: number } | null
  /** `×8`, or `⟳` for a repeat until a distance or time. */
  roundel: string | null
  /** How long one round or the step likely takes, for the height of its row. */
  seconds: number | null
  off: boolean
}

/** The span of the effort axis, in percent of critical. */
export const effortAxis = { low: 45, high: 130 } as const

type Reckoned = NonNullable<ReckonedStep['target']>

/** A resolved target as percent of critical intensity, on the grade of its step. */
export const onEffortAxis = remembered(
  (target: Reckoned, grade: Grade | undefined, standpoint: Standpoint, sport: Sport): { low: number; high: number } | null => {
    const share = (value: number): number | null => {
      const of = shareOfCritical(value, target.unit, { grade }, standpoint, sport)
      return of === null ? null : of * 100
    }
    const ends = [target.easiest ?? target.hardest, target.hardest ?? target.easiest].map(value => (value === null ? null : share(value)))
    const [low, high] = ends
    if (low === null || high === null || low === undefined || high === undefined) return null
    const openLow = target.easiest === null ? effortAxis.low : low
    const openHigh = target.hardest === null ? effortAxis.high : high
    return { low: Math.min(openLow, openHigh), high: Math.max(openLow, openHigh) }
  },
)

const known = ({ easiest, hardest }: { easiest: number | null; hardest: number | null }) => ({
  easiest: easiest ?? undefined,
  hardest: hardest ?? undefined,
})

const asShown = (target: Reckoned): ShownTarget => ({
  of: target.of as ShownTarget['of'],
  unit: target.unit as ShownTarget['unit'],
  ...known(target),
  ...(target.to ? { to: known(target.to) } : {}),
})

/** A target's numbers as the athlete reads them in a sport. */
const targetWords = remembered((target: Reckoned, standpoint: Standpoint, sport: Sport) =>
  sayTarget(asShown(target), paceReadingFor(sport, unitsOf(standpoint.athlete)[sport])),
)

const stepWords = remembered(printStep)

/** Forecast metres below two kilometres with the digits they deserve. */
const aboutMetres = (metres: number) => (metres < 200 ? Math.round(metres / 5) * 5 : metres < 2000 ? Math.round(metres / 10) * 10 : metres)

function stepComesTo(step: Step, entry: ReckonedStep | undefined, standpoint: Standpoint, sport: Sport): string {
  if (!entry) return step.off ? 'off' : ''
  if (entry.target) return targetWords(entry.target, standpoint, sport)
  const unit = unitsOf(standpoint.athlete)[sport]
  const { seconds, metres } = entry
  if (isOpenEnd(step.end)) return seconds.likely === null ? '' : `about ${sayDuration(seconds.likely)}`
  if (step.end.on === 'time') return metres.likely ? `about ${sayDistance(aboutMetres(metres.likely), unit)}` : ''
  return seconds.likely === null ? '' : `about ${sayDuration(seconds.likely)}`
}

interface Found {
  first: ReckonedStep | undefined
  metresAt: number | null
  seconds: number | null
}

/** Where a path or anything below it first comes, and how long its first round lasts. */
function firstUnder(
  path: string,
  depth: number,
  starts: readonly (number | null)[],
  flat: readonly ReckonedStep[],
  index: Map<string, number>,
): Found {
  const at = index.get(path)
  if (at === undefined) return { first: undefined, metresAt: null, seconds: null }
  const first = flat[at]!
  let seconds: number | null = 0
  for (let position = at; position < flat.length; position++) {
    const entry = flat[position]!
    if (entry.path !== path && !entry.path.startsWith(`${path}.`)) break
    if (entry.path !== path && entry.round.slice(0, depth + 1).join('.') !== first.round.slice(0, depth + 1).join('.')) break
    seconds = seconds === null || entry.seconds.likely === null ? null : seconds + entry.seconds.likely
    if (entry.path === path) break
  }
  return { first, metresAt: starts[at] ?? null, seconds }
}

/** How many rounds a repeat until a distance or time likely takes, with its range where the steps have one. */
function roundsWords(block: Block, path: string, flat: readonly ReckonedStep[]): string {
  const goal = goalOf(block)
  const inRound = flat.filter(entry => entry.path.startsWith(`${path}.`))
  const depth = path.split('.').length - 1
  const first = inRound.filter(
    entry => entry.round.slice(0, depth + 1).join('.') === inRound[0]!.round.slice(0, depth + 1).join('.') && !entry.partial,
  )
  const rounds = new Set(
    inRound
      .filter(entry => entry.round.slice(0, depth).join('.') === inRound[0]!.round.slice(0, depth).join('.'))
      .map(entry => entry.round[depth]),
  )
  if (!goal || rounds.size === 0) return ''
  const amount = first.reduce((sum, entry) => add(sum, entry[goal.measure]), zero)
  const ends = amount.low && amount.high ? [Math.ceil(goal.amount / amount.high - 1e-9), Math.ceil(goal.amount / amount.low - 1e-9)] : []
  const range = ends.length === 2 && ends[0] !== ends[1] && first.length > 0 ? ` (${ends.join('\u2013')})` : ''
  return `about ${rounds.size}${range} rounds`
}

function blockComesTo(block: Block, seconds: number | null, path: string, flat: readonly ReckonedStep[]): string {
  if (block.off) return 'off'
  if (goalOf(block)) return roundsWords(block, path, flat)
  return seconds === null || seconds === 0 ? '' : `${seconds < 3600 ? formatTime(Math.round(seconds)) : sayDuration(seconds)} each`
}

/** The unit that the distances of a sheet stand in: the athlete's for its sport, kilometres or miles for several. */
export const sheetUnit = ({ sport }: Pick<Session, 'sport'>, { athlete }: Standpoint): DistanceUnit =>
  unitsOf(athlete)[sport === 'multi' ? 'run' : sport]

/**
 * The rows of the cue sheet for a session, in the order they are written.
 *
 * @param reckoning of the same session and athlete
 */
export function sheetRows(session: Session, reckoning: Reckoning, standpoint: Standpoint): SheetRow[] {
  const index = new Map<string, number>()
  const starts: (number | null)[] = []
  let metres: number | null = 0
  reckoning.flat.forEach((entry, position) => {
    starts.push(metres)
    metres = metres === null || entry.metres.likely === null ? null : metres + entry.metres.likely
    for (let path = entry.path; path !== ''; path = path.slice(0, Math.max(0, path.lastIndexOf('.')))) {
      if (!index.has(path)) index.set(path, position)
    }
  })
  const rows: SheetRow[] = []
  const unit = sheetUnit(session, standpoint)
  const visit = (items: readonly Item[], prefix: string, depth: number, blocks: number, sport: Sport, isOff: boolean) => {
    for (let position = 0; position < items.length; position++) {
      const item = items[position]!
      const path = `${prefix}${position + 1}`
      const found = firstUnder(path, blocks, starts, reckoning.flat, index)
      const row = blankRow(path, depth, item.kind, found, unit, isOff || ('off' in item && item.off === true))
      rows.push(row)
      switch (item.kind) {
        case 'unread':
          row.words = `unread ${item.text}`
          row.comesTo = 'not read'
          break
        case 'step':
          row.words = stepWords(item)
          row.comesTo = stepComesTo(item, found.first, standpoint, sport)
          row.band = found.first?.target ? onEffortAxis(found.first.target, item.grade, standpoint, sport) : null
          break
        case 'leg':
          row.words = `leg ${item.sport}`
          visit(item.items, `${path}.`, depth + 1, blocks, item.sport, row.off)
          break
        case 'block':
          row.words = printBlockHeader(item)
          row.comesTo = blockComesTo(item, found.seconds, path, reckoning.flat)
          row.roundel = 'times' in item.repeat && item.repeat.times !== undefined ? `×${item.repeat.times}` : '⟳'
          visit(item.items, `${path}.`, depth + 1, blocks + 1, sport, row.off)
      }
    }
  }
  visit(session.items, '', 0, 0, session.sport === 'multi' ? 'run' : session.sport, false)
  return rows
}

function blankRow(path: string, depth: number, kind: Item['kind'], found: Found, unit: DistanceUnit, off: boolean): SheetRow {
  return {
    path,
    depth,
    kind,
    words: '',
    startsAt: found.first?.startsAt ?? null,
    metresAt: found.metresAt,
    distanceAt: found.metresAt === null ? '' : (found.metresAt / metresPer[unit]).toFixed(unit === 'km' || unit === 'mi' ? 1 : 0),
    comesTo: '',
    band: null,
    roundel: null,
    seconds: found.seconds,
    off,
  }
}

/** How hard a reckoned step is, in percent of critical; null where its target cannot tell. */
export function effortOf(entry: ReckonedStep, session: Session, standpoint: Standpoint): number | null {
  const sport = sportAt(session, entry.path)
  const item = entry.target && itemAt(session, entry.path)
  if (!entry.target || item?.kind !== 'step' || sport === 'multi') return null
  const band = onEffortAxis(entry.target, item.grade, standpoint, sport)
  return band && (band.low + band.high) / 2
}

/** From this percent of critical on work is hard. */
const hardFrom = 90

/**
 * Seconds at or above nine tenths of critical, likely: the hard part of a session.
 *
 * @returns null where nothing is known to be hard and of some work nobody knows how hard it is
 */
export function hardSeconds(session: Session, reckoning: Reckoning, standpoint: Standpoint): number | null {
  let [hard, isUntold] = [0, false]
  for (const entry of reckoning.flat) {
    const item = itemAt(session, entry.path)
    if (item?.kind !== 'step' || sportAt(session, entry.path) === 'multi') continue
    const effort = effortOf(entry, session, standpoint)
    if (effort !== null && effort >= hardFrom) hard += entry.seconds.likely ?? 0
    else if (effort === null && entry.role === 'work' && item.manner !== 'jog' && item.manner !== 'walk') isUntold = true
  }
  return hard === 0 && isUntold ? null : hard
}
