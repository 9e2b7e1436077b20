import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { matchFill } from './fill'

const someDay = fc.constantFrom('2026-03-30', '2026-03-31', '2026-04-01')
const someWanted = fc.array(fc.record({ day: someDay, content: fc.constantFrom('a', 'b', 'c') }), { maxLength: 6 })

describe('a message that is pasted again', () => {
  it('accounts for each session and each thing that was there once', () => {
    fc.assert(
      fc.property(someWanted, someWanted, (wanted, before) => {
        const filled = before.map((row, index) => ({ ...row, id: `e${index}` }))
        const { same, moved, changed, added, gone } = matchFill(wanted, filled)
        const pairs = [...same, ...moved, ...changed]
        expect([...pairs.map(pair => pair.wanted), ...added].sort()).toEqual(wanted.map((_, index) => index))
        expect([...pairs.map(pair => pair.id), ...gone].sort()).toEqual(filled.map(({ id }) => id).sort())
      }),
    )
  })

  it('changes nothing where it says the same', () => {
    fc.assert(
      fc.property(someWanted, wanted => {
        const filled = wanted.map((row, index) => ({ ...row, id: `e${index}` }))
        const { moved, changed, added, gone } = matchFill([...wanted].reverse(), filled)
        expect([moved, changed, added, gone]).toEqual([[], [], [], []])
      }),
    )
  })

  it('moves what says the same on another day, changes what stands in its place, adds and takes off the rest', () => {
    const filled = [
      { id: 'tue', day: '2026-03-31', content: 'nines' },
      { id: 'thu', day: '2026-04-02', content: 'jog' },
      { id: 'sat', day: '2026-04-04', content: 'ride' },
    ]
    const wanted = [
      { day: '2026-03-31', content: 'tens' },
      { day: '2026-04-03', content: 'jog' },
      { day: '2026-04-05', content: 'swim' },
    ]
    expect(matchFill(wanted, filled)).toEqual({
      same: [],
      moved: [{ wanted: 1, id: 'thu' }],
      changed: [{ wanted: 0, id: 'tue' }],
      added: [2],
      gone: ['sat'],
    })
  })
})
