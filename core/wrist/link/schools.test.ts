import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Due, NamingSchool, PushAct, PushQuestion, SlotBeside } from './schools'
import { dayInZone, daysFrom, weekOf } from '../../quantity/day'
import { nameFor, planPush } from './schools'

const today = '2026-03-31'
const digestFor = (one: Pick<Due, 'session'>, name: string) => `${one.session}/${name}`
const due = (offset: number, session: string, title = session): Due => ({ day: daysFrom(today, offset), session, title })
const empty = (slot: number, generation = 0): SlotBeside => ({
  slot,
  generation,
  digest: null,
  name: null,
  size: 0,
  by: null,
  should: null,
  isRunning: false,
  awaitsRecording: false,
})
const sent = (slot: number, session: string, name: string, offset: number | null, rest: Partial<SlotBeside> = {}): SlotBeside => {
  const digest = digestFor({ session }, name)
  return {
    ...empty(slot, 1),
    digest,
    name,
    by: 'server',
    should: { session, day: offset === null ? null : daysFrom(today, offset), digest, isLeaving: false },
    ...rest,
  }
}
const made = (slot: number): SlotBeside => ({ ...empty(slot, 1), digest: `own-${slot}`, name: 'Own quarter hour', by: 'hand' })

const ask = (rest: Partial<PushQuestion>): PushQuestion => ({
  naming: 'telling',
  pushing: 'week',
  today,
  weekStart: 1,
  due: [],
  slots: [],
  fitted: (one, name) => ({ digest: digestFor(one, name), fits: one.title !== 'too long' }),
  ...rest,
})
const told = (acts: PushAct[]) => acts.map(act => ('slot' in act ? `${act.do} ${act.slot} ${act.name}` : `${act.do} ${act.name}`))

/** The slots as they are once the acts are done. */
function done(question: PushQuestion, acts: PushAct[]): SlotBeside[] {
  return question.slots.map(slot => {
    const act = acts.find(entry => 'slot' in entry && entry.slot === slot.slot)
    if (act?.do === 'remove') return empty(slot.slot, slot.generation + 1)
    if (act?.do === 'keep') return { ...slot, should: { ...slot.should!, isLeaving: false } }
    if (act?.do !== 'send') return slot
    const digest = digestFor(act, act.name)
    return {
      ...slot,
      generation: slot.generation + 1,
      digest,
      name: act.name,
      by: 'server',
      should: { session: act.session, day: act.day, digest, isLeaving: false },
      awaitsRecording: false,
    }
  })
}

describe('days and names', () => {
  it('begins the week where the athlete does', () => {
    expect([weekOf('2026-03-31', 1), weekOf('2026-03-29', 1), weekOf('2026-03-29', 7), weekOf('2026-03-30', 1)]).toEqual([
      '2026-03-30',
      '2026-03-23',
      '2026-03-29',
      '2026-03-30',
    ])
  })
  it("takes the day of the athlete's own zone", () => {
    const moment = new Date('2026-03-29T22:30:00Z')
    expect([dayInZone(moment, 'Europe/Oslo'), dayInZone(moment, 'UTC'), dayInZone(moment, 'Pacific/Auckland')]).toEqual([
      '2026-03-30',
      '2026-03-29',
      '2026-03-30',
    ])
  })
  it('calls programs as the school does', () => {
    const two = [due(0, 'a', 'Quay ladder'), due(0, 'b', 'Sound hundreds')]
    const names = (naming: NamingSchool) => two.map(one => nameFor({ naming, due: two }, one))
    expect([names('telling'), names('weekday'), names('slot')]).toEqual([
      ['Quay ladder', 'Sound hundreds'],
      ['Tuesday', 'Tuesday 2'],
      ['Next session', 'Next session'],
    ])
  })
})

describe('pushing', () => {
  const week = [due(0, 'a'), due(2, 'b'), due(6, 'c'), due(7, 'd'), due(-1, 'e')]

  it('sends the coming seven days, today, the next one or nothing', () => {
    const slots = [1, 2, 3, 4, 5].map(slot => empty(slot))
    expect(told(planPush(ask({ due: week, slots })))).toEqual(['send 1 a', 'send 2 b', 'send 3 c'])
    expect(told(planPush(ask({ due: week, slots, pushing: 'today' })))).toEqual(['send 1 a'])
    expect(told(planPush(ask({ due: week, slots, naming: 'slot' })))).toEqual(['send 1 Next session'])
    expect(planPush(ask({ due: week, slots, pushing: 'hand' }))).toEqual([])
  })

  it('lets the nearest days go first and says that the rest waits', () => {
    expect(told(planPush(ask({ due: week, slots: [empty(1), made(2)] })))).toEqual([
      'send 1 a',
      'wait b',
      'wait c',
      'ask 2 Own quarter hour',
    ])
  })

  it('keeps what is there as it would be sent, and sends what has changed into its slot', () => {
    const slots = [sent(1, 'a', 'a', 0), sent(2, 'b', 'old name', 2), empty(3)]
    expect(told(planPush(ask({ due: week.slice(0, 2), slots })))).toEqual(['keep 1 a', 'send 2 b'])
  })

  it("clears last week's weekdays only when the week has ended, and takes their slots", () => {
    const slots = [sent(1, 'x', 'Thursday', -5), sent(2, 'y', 'Sunday', -2), sent(3, 'z', 'Monday', -1)]
    expect(told(planPush(ask({ naming: 'weekday', slots })))).toEqual(['remove 1 Thursday', 'remove 2 Sunday'])
    expect(told(planPush(ask({ naming: 'weekday', slots, today: '2026-03-29' })))).toEqual([])
    expect(told(planPush(ask({ naming: 'weekday', slots, due: [due(2, 'b')] })))).toEqual(['send 1 Thursday', 'remove 2 Sunday'])
  })

  it('leaves alone what is carried out, whose recording is not home, or what was changed there', () => {
    const slots = [
      sent(1, 'x', 'Thursday', -5, { isRunning: true }),
      sent(2, 'y', 'Friday', -4, { awaitsRecording: true }),
      sent(3, 'z', 'Saturday', -3, { digest: 'edited' }),
    ]
    expect(planPush(ask({ naming: 'weekday', slots }))).toEqual([])
    const today = [sent(1, 'a', 'old', 0, { digest: 'edited' })]
    expect(told(planPush(ask({ due: week.slice(0, 1), slots: today })))).toEqual(['ask 1 old', 'wait a'])
  })

  it('waits with what does not fit, and finishes a clearing that was asked', () => {
    expect(told(planPush(ask({ due: [due(0, 'a', 'too long')], slots: [empty(1)] })))).toEqual(['wait too long'])
    const leaving = sent(1, 'x', 'x', null)
    expect(told(planPush(ask({ slots: [{ ...leaving, should: { ...leaving.should!, isLeaving: true } }] })))).toEqual(['remove 1 x'])
  })

  it('holds for every watch and week: never a hand-made, running or awaited program, nearest first, and done when done', () => {
    const slot = fc.oneof(
      fc.constant(null),
      fc.constant('made' as const),
      fc.record({
        session: fc.constantFrom('a', 'b', 'c', 'd', 'e'),
        offset: fc.integer({ min: -10, max: 6 }),
        isRunning: fc.boolean(),
        awaitsRecording: fc.boolean(),
        isEdited: fc.boolean(),
        isLeaving: fc.boolean(),
      }),
    )
    const plan = fc.uniqueArray(fc.tuple(fc.integer({ min: -2, max: 8 }), fc.constantFrom('a', 'b', 'c', 'd', 'e')), {
      maxLength: 5,
      selector: ([, session]) => session,
    })
    fc.assert(
      fc.property(
        fc.array(slot, { maxLength: 6 }),
        plan,
        fc.constantFrom<NamingSchool>('telling', 'weekday', 'slot'),
        fc.constantFrom('week' as const, 'today' as const, 'hand' as const),
        (held, planned, naming, pushing) => {
          const slots = held.map((entry, index): SlotBeside => {
            if (entry === null) return empty(index + 1)
            if (entry === 'made') return made(index + 1)
            const name = nameFor({ naming, due: [] }, due(entry.offset, entry.session))
            const one = sent(index + 1, entry.session, name, entry.offset, {
              isRunning: entry.isRunning,
              awaitsRecording: entry.awaitsRecording,
            })
            return { ...one, ...(entry.isEdited ? { digest: 'edited' } : {}), should: { ...one.should!, isLeaving: entry.isLeaving } }
          })
          const question = ask({ slots, due: planned.map(([offset, session]) => due(offset, session)), naming, pushing })
          const acts = planPush(question)
          for (const act of acts) {
            if (act.do !== 'send' && act.do !== 'remove') continue
            const before = slots.find(entry => entry.slot === act.slot)!
            expect(
              before.digest === null ||
                (before.by === 'server' && before.digest === before.should!.digest && !before.isRunning && !before.awaitsRecording),
            ).toBe(true)
            expect(act.expects).toBe(before.generation)
          }
          const touched = acts.flatMap(act => (act.do === 'send' || act.do === 'remove' || act.do === 'keep' ? [act.slot] : []))
          expect(new Set(touched).size).toBe(touched.length)
          const waiting = acts.filter(act => act.do === 'wait' && act.why === 'no slot is free').map(act => (act as { day: string }).day)
          const fresh = acts.flatMap(act =>
            act.do === 'send' && !slots.some(entry => entry.slot === act.slot && entry.should) ? [act.day] : [],
          )
          for (const day of waiting) expect(fresh.every(other => other <= day)).toBe(true)
          const again = planPush({ ...question, slots: done(question, acts) })
          expect(again.filter(act => act.do === 'send' || act.do === 'remove')).toEqual([])
        },
      ),
      { numRuns: 2000 },
    )
  })
})
