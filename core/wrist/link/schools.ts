import { daysFrom, weekdayOf, weekOf } from '../../quantity/day'
import type { SlotState } from './protocol'

/** How programs are called on the watch: by their titles, by their weekday, or all alike in one slot. */
export type NamingSchool = 'telling' | 'weekday' | 'slot'
/** What is sent without being asked for one by one: the coming seven days, today, or nothing. */
export type PushingSchool = 'week' | 'today' | 'hand'

/** A session planned on a day. */
export interface Due {
  day: string
  session: string
  title: string
}

/** A session as it would be sent today. */
export interface Fitted {
  digest: string
  fits: boolean
}

/** A slot as the watch states it, with what it should hold. */
export interface SlotBeside extends SlotState {
  should: { session: string | null; day: string | null; digest: string; isLeaving: boolean } | null
  isRunning: boolean
  /** A recording of its program still waits on the watch. */
  awaitsRecording: boolean
}

export type PushAct =
  | { do: 'send'; slot: number; expects: number; session: string; day: string; name: string; digest: string; replaces: string | null }
  /** It is there already; what was asked to be cleared stays after all, for it is planned. */
  | { do: 'keep'; slot: number; session: string; day: string; name: string }
  | { do: 'remove'; slot: number; expects: number; name: string; why: string }
  | { do: 'wait'; session: string; day: string; name: string; why: string }
  /** Something the athlete made or changed on the watch is in the way; nothing happens to it here. */
  | { do: 'ask'; slot: number; name: string; why: string }

export interface PushQuestion {
  naming: NamingSchool
  pushing: PushingSchool
  /** The athlete's day, in their own time zone. */
  today: string
  /** 1 is Monday. */
  weekStart: number
  due: readonly Due[]
  slots: readonly SlotBeside[]
  fitted: (due: Due, name: string) => Fitted
}

const weekdays = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'] as const

export const oneSlotName = 'Next session'

/** What a planned session is called on the watch; a second one of the same weekday is numbered. */
export function nameFor({ naming, due }: Pick<PushQuestion, 'naming' | 'due'>, one: Due): string {
  if (naming === 'slot') return oneSlotName
  if (naming === 'telling') return one.title
  const sameDay = due.filter(other => other.day === one.day)
  const place = sameDay.indexOf(one)
  return `${weekdays[weekdayOf(one.day)]}${place > 0 ? ` ${place + 1}` : ''}`
}

/** The days that the school sends. */
export function wanted({ naming, pushing, today, due }: PushQuestion): Due[] {
  if (pushing === 'hand') return []
  const last = pushing === 'today' ? today : daysFrom(today, 6)
  const coming = due.filter(one => one.day >= today && one.day <= last).sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0))
  return naming === 'slot' ? coming.slice(0, 1) : coming
}

const isAsSent = (slot: SlotBeside) => slot.should !== null && slot.digest === slot.should.digest
/** Whether a slot may be changed without asking: it holds what was sent, nobody carries it out, and no recording of it is on its way. */
const isFreeToChange = (slot: SlotBeside) => slot.digest === null || (isAsSent(slot) && !slot.isRunning && !slot.awaitsRecording)

/** Whether what a slot holds is over: pushed for a day that has passed, by the rule of its school. */
function isOver(slot: SlotBeside, { naming, today, weekStart }: PushQuestion): boolean {
  const day = slot.should?.day
  if (!day) return false
  return naming === 'weekday' ? day < weekOf(today, weekStart) : day < today
}

/** What a push goes through: the slots that are given out already, and those it may empty. */
interface Pushing {
  question: PushQuestion
  used: Set<number>
  /** Slots whose program leaves: asked to be cleared, or over. */
  leaving: SlotBeside[]
  past: SlotBeside[]
}

const inTheWay = (slot: SlotBeside): PushAct => ({
  do: 'ask',
  slot: slot.slot,
  name: slot.name ?? '',
  why: slot.should ? 'was changed on the watch' : 'was made on the watch',
})

/** The slot that a session of this day has already. */
function ownSlot(one: Due, name: string, open: readonly SlotBeside[], naming: PushQuestion['naming']): SlotBeside | undefined {
  const isOwn = ({ should }: SlotBeside) =>
    should !== null && should.session === one.session && (naming !== 'weekday' || should.day === one.day || should.day === null)
  return open.find(isOwn) ?? (naming === 'telling' ? undefined : open.find(slot => slot.name === name && slot.should))
}

const noSlotFree = 'no slot is free'

/** What is done for one day's session. */
function actsFor(one: Due, { question, used, leaving, past }: Pushing): PushAct[] {
  const { naming, slots, fitted } = question
  const name = nameFor(question, one)
  const { digest, fits } = fitted(one, name)
  const { session, day } = one
  const waits = (why: string): PushAct => ({ do: 'wait', session, day, name, why })
  if (!fits) return [waits('does not fit this watch')]
  const open = slots.filter(slot => !used.has(slot.slot))
  const send = (slot: SlotBeside): PushAct => ({
    do: 'send',
    slot: slot.slot,
    expects: slot.generation,
    session,
    day,
    name,
    digest,
    replaces: slot.digest === null ? null : slot.name,
  })
  const own = ownSlot(one, name, open, naming)
  const slot =
    own ?? open.find(free => free.digest === null && free.should === null) ?? [...leaving, ...past].find(free => !used.has(free.slot))
  if (!slot) return [waits(noSlotFree)]
  used.add(slot.slot)
  if (!own) return [send(slot)]
  if (own.digest === digest) return [{ do: 'keep', slot: own.slot, session, day, name }]
  if (own.digest !== null && !isAsSent(own)) return [inTheWay(own), waits(`slot ${own.slot} was changed on the watch`)]
  if (isFreeToChange(own)) return [send(own)]
  return [waits(own.isRunning ? `slot ${own.slot} is being carried out` : `the recording of slot ${own.slot} is not home yet`)]
}

/**
 * What pushing would do to a watch, before it does it: the dry run and the order of work in one.
 *
 * Laws, held by the tests: nothing made or changed on the watch, nothing that is carried out, and nothing whose recording is not
 * home is replaced or removed; nearer days go first; done twice, the second time nothing is left to do.
 */
export function planPush(question: PushQuestion): PushAct[] {
  const { naming, slots } = question
  const coming = wanted(question)
  const isComing = (slot: SlotBeside) => coming.some(one => one.session === slot.should?.session)
  const canGo = slots.filter(slot => slot.digest !== null && isFreeToChange(slot) && !isComing(slot))
  const past = canGo.filter(slot => isOver(slot, question))
  const leaving = canGo.filter(slot => slot.should?.isLeaving)
  const used = new Set<number>()
  const acts = coming.flatMap(one => actsFor(one, { question, used, leaving, past }))
  if (acts.some(act => act.do === 'wait' && act.why === noSlotFree))
    acts.push(...slots.filter(slot => slot.digest !== null && !slot.should).map(inTheWay))
  for (const slot of [...leaving, ...(question.pushing === 'hand' || naming === 'telling' ? [] : past)]) {
    if (used.has(slot.slot)) continue
    used.add(slot.slot)
    acts.push({
      do: 'remove',
      slot: slot.slot,
      expects: slot.generation,
      name: slot.name ?? '',
      why: slot.should?.isLeaving ? 'asked to be cleared' : naming === 'weekday' ? 'last week is over' : 'its day is over',
    })
  }
  return acts
}
