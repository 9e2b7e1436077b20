import { daysFrom, weekOf } from '../quantity/day'
import type { Level } from '../forecast/level'
import type { Sport } from '../session/document'

/** What a day of a week is for, as the athlete lays it out. */
export type DayPart = 'rest' | 'easy' | 'long' | 'hard'
export const dayParts: readonly DayPart[] = ['rest', 'easy', 'long', 'hard']

export interface ShapeDay {
  part: DayPart
  /** Null takes what fits of any sport. */
  sport: Sport | null
}

/** The athlete's own shape of weeks: waves of some that grow and one that eases, by their hours and days. */
export interface PlanShape {
  /** Hours of the first week. */
  hours: number
  /** Weeks that grow before one that eases. */
  up: number
  /** By how much each of them grows, in percent. */
  growth: number
  /** What the easing week is of the one before it, in percent. */
  ease: number
  weeks: number
  /** Of these the last ones, that come down to a race. */
  taper: number
  /** Seven days, from the first day of the athlete's week on. */
  days: ShapeDay[]
}

/** A shape to begin with: three weeks up and one down, two hard days, a long one and a day of rest. */
export const usualShape: PlanShape = {
  hours: 6,
  up: 3,
  growth: 6,
  ease: 65,
  weeks: 4,
  taper: 0,
  days: (['rest', 'hard', 'easy', 'hard', 'easy', 'long', 'easy'] as const).map(part => ({ part, sport: null })),
}

/**
 * Shares of the largest week that the last ones come down to, by how many they are.
 *
 * @source Bosquet et al., MSSE 39 (2007): volume 41-60 % lower over about two weeks served best; the steps between are our own
 */
const tapers: readonly (readonly number[])[] = [[], [0.5], [0.7, 0.5], [0.8, 0.65, 0.5]]

/**
 * The hours of each week of a shape.
 *
 * @example hoursOf({ ...usualShape, hours: 10, growth: 10, ease: 60 }) // 10, 11, 12.1, 7.26
 */
export function hoursOf({ hours, up, growth, ease, weeks, taper }: PlanShape): number[] {
  const sinking = tapers[Math.min(taper, tapers.length - 1, weeks)]!
  const wave = up + 1
  const grown = Array.from({ length: weeks - sinking.length }, (_, week) => {
    const round = Math.floor(week / wave)
    const place = week % wave
    const steps = round + Math.min(place, up - 1)
    return hours * (1 + growth / 100) ** steps * (place === up ? ease / 100 : 1)
  })
  const largest = Math.max(hours, ...grown)
  return [...grown, ...sinking.map(share => largest * share)]
}

/** A session of the athlete's own shelf, as it can be put on a day. */
export interface ShelvedSession {
  id: string
  title: string
  sport: string
  seconds: number
  level: Level
  /** Share of its time above the second threshold, 0 to 1. */
  hard: number
}

export interface LaidDay {
  day: string
  part: DayPart
  sport: Sport | null
  /** What its share of the week's hours comes to. */
  aimSeconds: number
  /** The best of the shelf first; empty where nothing there fits. */
  fitting: ShelvedSession[]
  /** Something is on that day already, or it is over: nothing is put there. */
  isTaken: boolean
}
export interface LaidWeek {
  from: string
  aimSeconds: number
  days: LaidDay[]
}

/** How long a day is beside an easy one. */
const lengthOf: Record<DayPart, number> = { rest: 0, easy: 1, hard: 1.1, long: 2 }
const levelsOf: Record<DayPart, readonly Level[]> = { rest: [], easy: ['easy'], long: ['easy', 'steady'], hard: ['hard', 'steady'] }
const mostFitting = 6
/** How much a session that stands in the weeks already counts as further off, for each time. */
const repeated: Record<DayPart, number> = { rest: 0, easy: 0.04, long: 0.04, hard: 0.12 }

function fittingFor(day: ShapeDay, aim: number, shelf: readonly ShelvedSession[], times: ReadonlyMap<string, number>): ShelvedSession[] {
  const levels = levelsOf[day.part]
  const offBy = (one: ShelvedSession) =>
    Math.abs(Math.log(one.seconds / aim)) +
    levels.indexOf(one.level) * 0.5 +
    repeated[day.part] * (times.get(one.id) ?? 0) +
    (day.part === 'hard' ? 0 : 4 * one.hard)
  return shelf
    .filter(one => levels.includes(one.level) && one.seconds > 0 && (day.sport === null || one.sport === day.sport))
    .sort((one, other) => offBy(one) - offBy(other) || one.title.localeCompare(other.title) || one.id.localeCompare(other.id))
    .slice(0, mostFitting)
}

/**
 * Weeks of a shape, filled from the athlete's own shelf: each day gets its share of the week's hours, and the sessions that come
 * nearest to it. Nothing is decided here: the first of each day is a proposal.
 *
 * @param from a day of the first week
 * @param taken days that hold something already, or cannot be used
 */
export function layOut(shape: PlanShape, { from, weekStart, today, shelf, taken }: LayOutOf): LaidWeek[] {
  const first = weekOf(from, weekStart)
  const times = new Map<string, number>()
  const sum = shape.days.reduce((all, { part }) => all + lengthOf[part], 0)
  return hoursOf(shape).map((hours, index) => {
    const week = daysFrom(first, 7 * index)
    const days = shape.days.map((day, offset): LaidDay => {
      const iso = daysFrom(week, offset)
      const aimSeconds = sum === 0 ? 0 : (hours * 3600 * lengthOf[day.part]) / sum
      const isTaken = iso < today || taken.has(iso)
      const fitting = day.part === 'rest' || isTaken ? [] : fittingFor(day, aimSeconds, shelf, times)
      if (fitting[0]) times.set(fitting[0].id, (times.get(fitting[0].id) ?? 0) + 1)
      return { day: iso, ...day, aimSeconds, fitting, isTaken }
    })
    return { from: week, aimSeconds: hours * 3600, days }
  })
}

export interface LayOutOf {
  from: string
  weekStart: number
  today: string
  shelf: readonly ShelvedSession[]
  taken: ReadonlySet<string>
}
