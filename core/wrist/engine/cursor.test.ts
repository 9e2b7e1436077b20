import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { arbitrarySession } from '../../../tests/support/arbitrary-session'
import { carryOut, stepNames } from '../../../tests/support/carry-out'
import { ilse } from '../../../demo/athlete'
import { readScript } from '../../script/reader/read-script'
import { checkSession } from '../../session/check'
import type { Session } from '../../session/document'
import { walk } from '../../session/walk'
import type { Cursor } from './cursor'
import { cursorBehind, firstCursor, nextCursor, roundOf, roundsOf, stepAt, withJudged } from './cursor'
import { fit } from '../fit/fit'
import { profileNamed } from '../program/profile'
import type { Program } from '../program/program'
import { nobody } from '../../athlete/standpoint'
import { seenBy } from '../../../tests/support/standpoint'

const clocks = { moving: 0, distance: 0 }
const fitted = (session: Session, maxNesting = 6): Program =>
  fit(session, { ...profileNamed('all-sport')!, maxSteps: 5000, maxNesting }, seenBy(ilse)).program
const programOf = (text: string, maxNesting = 6) => fitted(readScript(text, nobody).sessions[0]!, maxNesting)
const name = (program: Program, cursor: Cursor) => `${stepAt(program, cursor).path}@${roundOf(program, cursor).join('.')}`

function* visits(program: Program, atMost = 6000): Generator<Cursor> {
  let cursor = firstCursor(program)
  for (let count = 0; cursor && count < atMost; count++) {
    yield cursor
    cursor = nextCursor(program, cursor, clocks)
  }
}

/** Good documents in which the doing changes nothing about the rounds. */
const counted = arbitrarySession.filter(
  session => !/"repeat":\{"(?:distance|seconds)"/.test(JSON.stringify(session.items)) && checkSession(session).length === 0,
)

describe('going through a program', () => {
  it('visits what the walk of the session visits, in order, with the same rounds, on a watch of any nesting', () => {
    fc.assert(
      fc.property(counted, fc.constantFrom(6, 1, 0), (session, maxNesting) => {
        const expected = [...walk(session)].map(flat => [`${flat.path}@${flat.round.join('.')}`, flat.rounds])
        fc.pre(expected.length <= 400)
        const program = fitted(session, maxNesting)
        expect([...visits(program)].map(cursor => [name(program, cursor), roundsOf(program, cursor)])).toEqual(expected)
      }),
      { numRuns: 500 },
    )
  })

  it('goes on for ever in a repeat until a distance, until somebody leaves it', () => {
    const program = programOf('sport run\n\nrepeat for 5 km\n  1:00\n2:00')
    const some = [...visits(program, 50)]
    expect(some).toHaveLength(50)
    expect(name(program, some[49]!)).toBe('1.1@50')
    expect(name(program, cursorBehind(program, some[49]!, 0, clocks)!)).toBe('2@')
  })

  it('leaves an inner repeat for the next round of the outer', () => {
    const program = programOf('sport run\n\n2 times\n  repeat for 1 km\n    1:00\n  0:30')
    const first = firstCursor(program)!
    expect(name(program, cursorBehind(program, first, 1, clocks)!)).toBe('1.2@1')
    expect(cursorBehind(program, [...visits(program, 1)][0]!, 0, clocks)).toBeNull()
  })

  it("starts a block's clocks where it begins, and keeps them over its rounds", () => {
    const program = programOf('sport run\n\n1:00\n3 times\n  1:00')
    const inBlock = nextCursor(program, firstCursor(program)!, { moving: 60, distance: 200 })!
    expect(inBlock.blocks[0]).toMatchObject({ round: 1, startMoving: 60, startDistance: 200 })
    expect(nextCursor(program, inBlock, { moving: 120, distance: 400 })!.blocks[0]).toMatchObject({
      round: 2,
      startMoving: 60,
      startDistance: 200,
    })
  })

  it('counts missed rounds in a row, and forgets them after a good one', () => {
    const program = programOf('sport run\n\n9 times, stop after 2 missed\n  1:00 @ 4:00 /km\n2:00')
    const play = (means: boolean[]) => {
      let cursor = firstCursor(program)!
      for (const isInside of means) cursor = nextCursor(program, withJudged(cursor, 50, isInside), clocks)!
      return name(program, cursor)
    }
    expect(play([false, false])).toBe('2@')
    expect(play([false, true, false])).toBe('1.1@4')
    expect(play([false, true, false, false])).toBe('2@')
    expect(play([true, true, false])).toBe('1.1@4')
  })

  it('has nowhere to begin in a program without steps', () => {
    expect(firstCursor({ ...programOf('sport run\n\n1:00'), items: [] })).toBeNull()
  })
})

describe('carrying out any document that fits', () => {
  it('ends, with the step marks in the order of the walk, each once, and time never going back', () => {
    fc.assert(
      fc.property(counted, fc.integer({ min: 1, max: 1e6 }), (session, seed) => {
        const expected = [...walk(session)].map(flat => `${flat.path}@${flat.round.join('.')}`)
        fc.pre(expected.length > 0 && expected.length <= 60)
        const fitting = fit(session, { ...profileNamed('all-sport')!, maxSteps: 5000 }, seenBy(ilse))
        fc.pre(fitting.program.items.length > 0 && !JSON.stringify(session).includes('stopAfterMissed'))
        const { marks, state } = carryOut(fitting.program, seed, { press: 0.3, skip: 0.5, pause: 0.05 })
        expect(state.phase).toBe('finished')
        expect(stepNames(marks)).toEqual(expected)
        const times = marks.filter(mark => mark.kind !== 'prompt').map(mark => mark.t)
        expect([...times].sort((a, b) => a - b)).toEqual(times)
      }),
      { numRuns: 300 },
    )
  }, 120_000)
})
