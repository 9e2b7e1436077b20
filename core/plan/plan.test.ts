import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { daysFrom } from '../quantity/day'
import { applyChanges, inverse } from './change'
import type { PlanChange } from './change'
import { clearDays, copyDays, moveTo, putOn, shiftFrom, swapDays, takeOff } from './edits'
import type { PlanEntry } from './entry'
import { faultOf, inOrder, onDay, planKinds } from './entry'

const first = '2026-03-23'
const bare = { session: null, name: 'x', minutes: null, effort: null, sport: null, filled: false }
const session = (id: string, day: string, at = 0): PlanEntry => ({ ...bare, id, day, at, kind: 'session', session: id, name: null })

/** A plan of some weeks around a turn of the clocks: several on a day, gaps in their places, every kind. */
const somePlan = fc
  .array(fc.record({ offset: fc.integer({ min: 0, max: 20 }), at: fc.integer({ min: 0, max: 9 }), kind: fc.constantFrom(...planKinds) }), {
    maxLength: 24,
  })
  .map(rows => {
    const seen = new Set<string>()
    return rows.flatMap(({ offset, at, kind }, index): PlanEntry[] => {
      const place = `${offset} ${at}`
      if (seen.has(place)) return []
      seen.add(place)
      return [{ ...bare, id: `e${index}`, day: daysFrom(first, offset), at, kind }]
    })
  })
const someDay = fc.integer({ min: -2, max: 24 }).map(offset => daysFrom(first, offset))
const edits: fc.Arbitrary<(plan: PlanEntry[]) => PlanChange[]> = fc.oneof(
  fc.tuple(fc.nat(30), someDay, fc.nat(5)).map(
    ([index, day, at]) =>
      (plan: PlanEntry[]) =>
        moveTo(plan, plan[index % (plan.length || 1)]?.id ?? '', day, at),
  ),
  fc.tuple(someDay, someDay).map(
    ([one, other]) =>
      (plan: PlanEntry[]) =>
        swapDays(plan, one, other),
  ),
  fc.tuple(someDay, fc.integer({ min: -9, max: 9 })).map(
    ([day, by]) =>
      (plan: PlanEntry[]) =>
        shiftFrom(plan, day, by),
  ),
  fc.tuple(someDay, fc.integer({ min: 1, max: 8 }), someDay).map(([from, days, to]) => (plan: PlanEntry[]) => {
    let count = 0
    return copyDays(plan, from, days, to, () => `c${count++}`)
  }),
  fc.tuple(someDay, fc.integer({ min: 1, max: 8 })).map(
    ([from, days]) =>
      (plan: PlanEntry[]) =>
        clearDays(plan, from, days),
  ),
  someDay.map(day => (plan: PlanEntry[]) => putOn(plan, { ...bare, id: 'new', day, kind: 'note' })),
)
const applied = (plan: PlanEntry[], changes: readonly PlanChange[]) => {
  const result = applyChanges(plan, changes)
  if (!result.ok) throw new Error(`refused at ${result.id}`)
  return result.entries
}

describe('changes of a plan', () => {
  it('are taken back exactly, whatever was edited', () => {
    fc.assert(
      fc.property(somePlan, edits, (plan, edit) => {
        const changes = edit(plan)
        expect(applied(applied(plan, changes), inverse(changes))).toEqual(inOrder(plan))
      }),
    )
  })

  it('lose and double nothing: each entry is there once, and no two share a place of a day that was edited', () => {
    fc.assert(
      fc.property(somePlan, edits, (plan, edit) => {
        const changes = edit(plan)
        const after = applied(plan, changes)
        const added = changes.filter(({ before }) => before === null).length
        const removed = changes.filter(({ after: gone }) => gone === null).length
        expect(after.length).toBe(plan.length + added - removed)
        expect(new Set(after.map(({ id }) => id)).size).toBe(after.length)
        expect(new Set(after.map(({ day, at }) => `${day} ${at}`)).size).toBe(after.length)
      }),
    )
  })

  it('are refused as a whole where an entry has gone on since, with what it is now', () => {
    const plan = [session('a', first), session('b', daysFrom(first, 1))]
    const changes = [...moveTo(plan, 'b', first), ...moveTo(plan, 'a', daysFrom(first, 3))]
    const meanwhile = applied(plan, moveTo(plan, 'a', daysFrom(first, 5)))
    expect(applyChanges(meanwhile, changes)).toEqual({ ok: false, id: 'a', now: session('a', daysFrom(first, 5)) })
    expect(applyChanges([plan[1]!], takeOff(plan, ['a']))).toEqual({ ok: false, id: 'a', now: null })
  })
})

describe('edits of a plan', () => {
  const tuesday = daysFrom(first, 1)
  const plan = [
    session('swim', first),
    session('run', tuesday),
    session('gym', tuesday, 1),
    { ...session('race', daysFrom(first, 5)), kind: 'race' as const },
  ]
  const rows = (entries: PlanEntry[], day: string) => onDay(entries, day).map(({ id }) => id)

  it('keep the order of a day, and move to a place in it', () => {
    expect(rows(applied(plan, moveTo(plan, 'swim', tuesday, 1)), tuesday)).toEqual(['run', 'swim', 'gym'])
    expect(rows(applied(plan, moveTo(plan, 'gym', tuesday, 0)), tuesday)).toEqual(['gym', 'run'])
    expect(moveTo(plan, 'run', tuesday, 0)).toEqual([])
    expect(moveTo(plan, 'nobody', tuesday)).toEqual([])
  })

  it('shift what is planned after an illness, and leave the race where it is', () => {
    const after = applied(plan, shiftFrom(plan, tuesday, 4))
    expect(rows(after, first)).toEqual(['swim'])
    expect(rows(after, tuesday)).toEqual([])
    expect(rows(after, daysFrom(first, 5))).toEqual(['race', 'run', 'gym'])
  })

  it('swap two days with all that is on them', () => {
    const after = applied(plan, swapDays(plan, first, tuesday))
    expect([rows(after, first), rows(after, tuesday)]).toEqual([['run', 'gym'], ['swim']])
  })

  it('copy a week over a turn of the clocks day by day', () => {
    let count = 0
    const after = applied(
      plan,
      copyDays(plan, first, 7, '2026-03-30', () => `copy${count++}`),
    )
    expect(['2026-03-30', '2026-03-31', '2026-04-04'].map(day => onDay(after, day).map(entry => entry.session))).toEqual([
      ['swim'],
      ['run', 'gym'],
      ['race'],
    ])
  })
})

describe('an entry', () => {
  it('says what it lacks', () => {
    const note = { ...bare, kind: 'note' as const }
    expect(faultOf(note)).toBeNull()
    expect(faultOf({ ...note, name: ' ' })).toBe('no-name')
    expect(faultOf({ ...note, name: null, kind: 'rest' })).toBeNull()
    expect(faultOf({ ...note, kind: 'session' })).toBe('no-session')
    expect(faultOf({ ...note, session: 'a' })).toBe('session-beside')
    expect(faultOf({ ...note, kind: 'work', minutes: 0 })).toBe('minutes')
    expect(faultOf({ ...note, kind: 'work', minutes: NaN })).toBe('minutes')
    expect(faultOf({ ...note, kind: 'work', effort: 11 })).toBe('effort')
    expect(faultOf({ ...note, name: 'x'.repeat(501) })).toBe('long-name')
  })
})
