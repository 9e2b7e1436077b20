import { daysBetween, daysFrom, daysOfWeek } from '../quantity/day'
import { sayBalance } from '../words/balance'
import type { BalanceReason } from '../words/balance'
import type { PlanEntry } from './entry'
import type { Weight } from './sums'
import { monotonyOf, sumsOf } from './sums'

/** What a week is looked at with: all that weighs on its days and on the four weeks before, and what its days hold beside that. */
export interface BalanceQuestion {
  /** First day of the week. */
  week: string
  /** Days that are over are not moved to, and nothing is moved from them. */
  today: string
  weights: readonly Weight[]
  /** The entries of the week, blocked days among them. */
  entries: readonly PlanEntry[]
  races: readonly { name: string; day: string }[]
}

/** Something worth a thought about a week: never a lock. */
export interface BalanceSuggestion {
  code: BalanceReason['code']
  message: string
  source: string
  /** What would help: an entry on another day. */
  fix: { id: string; title: string; day: string } | null
  /** Stays dismissed as long as the week says the same. */
  key: string
}

const isHard = ({ burden }: Weight) => burden?.level === 'hard' || burden?.level === 'race' || burden?.level === 'beyond'
const daysLeft = (week: string, today: string) => daysOfWeek(week).filter(day => day >= today)
const between = (weights: readonly Weight[], from: string, days: number) =>
  weights.filter(({ day }) => day >= from && day < daysFrom(from, days))
const loadOn = (weights: readonly Weight[], day: string) =>
  weights.filter(weight => weight.day === day).reduce((sum, { burden }) => sum + (burden?.load ?? 0), 0)

/** Bounds that are custom, not law. */
const mostGrowth = 1.3
const mostAcute = 1.5
const mostMonotony = 2
const longMinutes = 90
const taperDays = 14
/** Of the load of the weeks before, what is customarily left in the last two before a race. */
const taperShare = 0.6

/** The nearest day of the week, from today on, that has no hard day beside it and can be used; null where there is none. */
function freeDayFor({ week, today, weights, entries }: BalanceQuestion, moved: Weight): string | null {
  const others = weights.filter(weight => weight !== moved && isHard(weight)).map(({ day }) => day)
  const isFree = (day: string) =>
    day >= today &&
    day !== moved.day &&
    !entries.some(entry => entry.day === day && (entry.kind === 'blocked' || entry.kind === 'race')) &&
    ![-1, 0, 1].some(offset => others.includes(daysFrom(day, offset)))
  const distance = (day: string) => Math.abs(daysBetween(moved.day, day))
  return (
    daysOfWeek(week)
      .filter(isFree)
      .sort((one, other) => distance(one) - distance(other))[0] ?? null
  )
}

function moveOf(question: BalanceQuestion, moved: Weight | undefined): BalanceSuggestion['fix'] {
  const entry = moved && question.entries.find(({ id, day }) => id === moved.id && day >= question.today)
  const day = entry && freeDayFor(question, moved)
  return day ? { id: moved.id, title: moved.title, day } : null
}

type Found = { reason: BalanceReason; moved?: Weight }

/** Hard days that follow each other; what is over cannot be helped. */
function hardClose({ week, today: from, weights }: BalanceQuestion): Found[] {
  return daysLeft(week, from).flatMap(day => {
    const today = weights.find(weight => weight.day === day && isHard(weight))
    const before = weights.find(weight => weight.day === daysFrom(day, -1) && isHard(weight))
    return today && before ? [{ reason: { code: 'hard-close', first: before.title, second: today.title, day }, moved: today } as Found] : []
  })
}

/** A long session on the day after a hard one. */
function longAfterHard({ week, today, weights }: BalanceQuestion): Found[] {
  return daysLeft(week, today).flatMap(day => {
    const long = weights.find(weight => weight.day === day && !isHard(weight) && (weight.burden?.seconds ?? 0) >= longMinutes * 60)
    const before = weights.find(weight => weight.day === daysFrom(day, -1) && isHard(weight))
    if (!long || !before) return []
    return [
      {
        reason: { code: 'long-after-hard', first: before.title, second: long.title, minutes: Math.round(long.burden!.seconds / 60), day },
      } as Found,
    ]
  })
}

/** How a week's load has grown, by two customary ratios. */
function ramps({ week, weights }: BalanceQuestion): Found[] {
  const load = sumsOf(between(weights, week, 7)).load ?? 0
  const before = [1, 2, 3, 4].map(back => sumsOf(between(weights, daysFrom(week, -7 * back), 7)).load ?? 0).filter(sum => sum > 0)
  if (before.length < 2) return []
  const mean = before.reduce((sum, one) => sum + one, 0) / before.length
  const found: Found[] = []
  if (load > mean * mostGrowth)
    found.push({ reason: { code: 'ramp', load: Math.round(load), mean: Math.round(mean), weeks: before.length } })
  const ratios = daysOfWeek(week).map(day => {
    const acute = sumsOf(between(weights, daysFrom(day, -6), 7)).load ?? 0
    const chronic = (sumsOf(between(weights, daysFrom(day, -27), 28)).load ?? 0) / 4
    return { day, ratio: chronic > 0 ? acute / chronic : 0 }
  })
  const most = ratios.reduce((one, other) => (other.ratio > one.ratio ? other : one))
  if (before.length >= 3 && most.ratio > mostAcute) found.push({ reason: { code: 'acute', ratio: most.ratio, day: most.day } })
  return found
}

function alike({ week, weights }: BalanceQuestion): Found[] {
  const loads = daysOfWeek(week).map(day => loadOn(weights, day))
  const told = monotonyOf(loads)
  const hasEasyDay = daysOfWeek(week).some(day =>
    weights.filter(weight => weight.day === day).every(({ burden }) => burden?.level === 'easy'),
  )
  return [
    ...(told && told.monotony > mostMonotony ? [{ reason: { code: 'monotony', ...told } } as Found] : []),
    ...(!hasEasyDay && loads.every(load => load > 0) ? [{ reason: { code: 'no-easy-day' } } as Found] : []),
  ]
}

/** The last two weeks before a race, beside the four before them. */
function taper({ week, weights, races }: BalanceQuestion): Found[] {
  return races.flatMap(({ name, day }) => {
    const days = daysBetween(week, day)
    if (days < 0 || days >= taperDays) return []
    const before = [1, 2, 3, 4].map(back => sumsOf(between(weights, daysFrom(week, -7 * back), 7)).load ?? 0).filter(sum => sum > 0)
    const load = sumsOf(between(weights, week, 7).filter(weight => weight.day < day)).load ?? 0
    const mean = before.reduce((sum, one) => sum + one, 0) / (before.length || 1)
    return load > mean * taperShare && before.length >= 2
      ? [{ reason: { code: 'taper', race: name, days, load: Math.round(load), most: Math.round(mean * taperShare) } } as Found]
      : []
  })
}

/**
 * What a week's days suggest, the nearest danger first. Custom and caution, never a lock: the evidence for ratios of load is mixed,
 * and each message says so where it counts.
 *
 * @source hard and easy days: Foster (1998); ratios: Gabbett, Br J Sports Med 50 (2016) and Impellizzeri et al., IJSPP 15 (2020);
 * taper: Bosquet et al., Med Sci Sports Exerc 39 (2007)
 */
export function balanceOf(question: BalanceQuestion): BalanceSuggestion[] {
  const found = [...hardClose(question), ...longAfterHard(question), ...ramps(question), ...alike(question), ...taper(question)]
  return found.map(({ reason, moved }) => ({
    code: reason.code,
    ...sayBalance(reason),
    fix: moveOf(question, moved),
    key: `${question.week} ${JSON.stringify(reason)}`,
  }))
}
