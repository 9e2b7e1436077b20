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

/**
 * What pushing would do to a watch, before it does it: the dry run and the order of work in one.
 *
 * Laws, held by the tests: nothing made or changed on the watch, nothing that is carried out, and nothing whose recording is not
 * home is replaced or removed; nearer days go first; done twice, the second time nothing is left to do.
 */
export function planPush(question: PushQuestion): PushAct[] {
  const { naming, slots, fitted } = question
  const acts: PushAct[] = []
  const used = new Set<number>()
  const coming = wanted(question)
  const isComing = (slot: SlotBeside) => coming.some(one => one.session === slot.should?.session)
  const past = slots.filter(slot => slot.digest !== null && isFreeToChange(slot) && isOver(slot, question) && !isComing(slot))
  const leaving = slots.filter(slot => slot.should?.isLeaving && slot.digest !== null && isFreeToChange(slot) && !isComing(slot))
  const inTheWay = (slot: SlotBeside) =>
    acts.push({
      do: 'ask',
      slot: slot.slot,
      name: slot.name ?? '',
      why: slot.should ? 'was changed on the watch' : 'was made on the watch',
    })
  for (const one of coming) {
    const name = nameFor(question, one)
    const { digest, fits } = fitted(one, name)
    const waits = (why: string) => acts.push({ do: 'wait', session: one.session, day: one.day, name, why })
    if (!fits) {
      waits('does not fit this watch')
      continue
    }
    const open = slots.filter(slot => !used.has(slot.slot))
    const own =
      open.find(
        slot =>
          slot.should &&
          slot.should.session === one.session &&
          (naming !== 'weekday' || slot.should.day === one.day || slot.should.day === null),
      ) ?? (naming === 'telling' ? undefined : open.find(slot => slot.name === name && slot.should))
    if (own) {
      used.add(own.slot)
      if (own.digest === digest) acts.push({ do: 'keep', slot: own.slot, session: one.session, day: one.day, name })
      else if (own.digest !== null && !isAsSent(own)) {
        inTheWay(own)
        waits(`slot ${own.slot} was changed on the watch`)
      } else if (!isFreeToChange(own))
        waits(own.isRunning ? `slot ${own.slot} is being carried out` : `the recording of slot ${own.slot} is not home yet`)
      else
        acts.push({
          do: 'send',
          slot: own.slot,
          expects: own.generation,
          session: one.session,
          day: one.day,
          name,
          digest,
          replaces: own.digest === null ? null : own.name,
        })
      continue
    }
    const free = open.find(slot => slot.digest === null && slot.should === null) ?? [...leaving, ...past].find(slot => !used.has(slot.slot))
    if (!free) {
      waits('no slot is free')
      continue
    }
    used.add(free.slot)
    acts.push({
      do: 'send',
      slot: free.slot,
      expects: free.generation,
      session: one.session,
      day: one.day,
      name,
      digest,
      replaces: free.name,
    })
  }
  if (acts.some(act => act.do === 'wait' && act.why === 'no slot is free')) {
    slots.filter(slot => slot.digest !== null && !slot.should).forEach(inTheWay)
  }
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
