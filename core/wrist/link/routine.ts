import { dayInZone, daysFrom, momentAt, weekOf } from '../../quantity/day'
import type { Due, PushAct, PushQuestion, SlotBeside } from './schools'
import { planPush } from './schools'

/**
 * The next moment at which the athlete's clock shows an hour.
 *
 * @param hour minutes after midnight
 * @returns after `now`, and at most a day and the turn of a clock away
 */
export function nextPush(now: Date, hour: number, timeZone: string): Date {
  const today = dayInZone(now, timeZone)
  return [0, 1, 2].map(days => momentAt(daysFrom(today, days), hour, timeZone)).find(moment => moment > now)!
}

/** Minutes after midnight at which a week is over for certain. */
const clearingHour = 5

/** The next moment at which a week of the athlete's has ended, by their clock. */
export function nextClearing(now: Date, weekStart: number, timeZone: string): Date {
  const week = weekOf(dayInZone(now, timeZone), weekStart)
  return [0, 7, 14].map(days => momentAt(daysFrom(week, days), clearingHour, timeZone)).find(moment => moment > now)!
}

/** What goes when a week has ended: what was sent for a day of it, and nothing else; the rules of `planPush` hold. */
export const clearingActs = (question: PushQuestion): PushAct[] =>
  planPush({ ...question, pushing: 'week', due: [] }).filter(({ do: act }) => act === 'remove')

/** The slots as they are once everything was done. */
function after(slots: readonly SlotBeside[], acts: readonly PushAct[]): SlotBeside[] {
  return slots.map(slot => {
    const act = acts.find(one => 'slot' in one && one.slot === slot.slot)
    const generation = slot.generation + 1
    switch (act?.do) {
      case 'send': {
        const { session, day, digest, name } = act
        return { ...slot, generation, digest, name, by: 'server', should: { session, day, digest, isLeaving: false } }
      }
      case 'remove':
        return { ...slot, generation, digest: null, name: null, should: null }
      case 'keep':
        return { ...slot, should: { ...slot.should!, day: act.day, isLeaving: false } }
      default:
        return slot
    }
  })
}

export interface DayAhead {
  day: string
  /** What is done on it, and what begins to wait. */
  acts: PushAct[]
}

/**
 * What pushing each day will do to a watch, day after day, if nothing else changes: each recording comes home, nobody edits.
 *
 * @param days from today on
 * @param due at least what is planned within six days after the last of them
 */
export function pushAhead(question: PushQuestion, days: number): DayAhead[] {
  let { slots } = question
  const said = new Set<string>()
  const isNew = (act: PushAct) => {
    if (act.do === 'keep') return false
    if (act.do !== 'wait' && act.do !== 'ask') return true
    const words = JSON.stringify(act)
    return !said.has(words) && Boolean(said.add(words))
  }
  return Array.from({ length: days }, (_, offset) => {
    const today = daysFrom(question.today, offset)
    const due: Due[] = question.due.filter(one => one.day >= today)
    const acts = planPush({ ...question, due, slots, today })
    slots = after(slots, acts).map(slot => ({ ...slot, isRunning: false, awaitsRecording: false }))
    return { day: today, acts: acts.filter(isNew) }
  })
}
