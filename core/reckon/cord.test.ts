import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ilse } from '../../demo/athlete'
import { arbitrarySession } from '../../tests/support/arbitrary-session'
import { seenBy } from '../../tests/support/standpoint'
import { nobody } from '../athlete/standpoint'
import { readScript } from '../script/reader/read-script'
import type { Session } from '../session/document'
import { sayCord } from '../words/cord'
import { cordOf } from './cord'
import { reckon } from './reckon'

const cord = (text: string) => {
  const session = readScript(text, seenBy(ilse)).sessions[0]!
  return cordOf(session, reckon(session, seenBy(ilse)), seenBy(ilse))
}
const kinds = (text: string) => cord(text).parts.map(({ kind }) => kind)

describe('a session as a cord', () => {
  it('has knots of hard work, thin lines of easy, and bare cord between, in their order', () => {
    const { parts, brackets } = cord(
      'sport run\n\nwarm-up until press\n3 times, drop last recovery\n  3:00 @ 5k effort\n  recovery 2:00\n' +
        '20:00 @ easy effort\ncool-down 10:00',
    )
    expect(parts.map(({ kind }) => kind)).toEqual(['line', 'knot', 'bare', 'knot', 'bare', 'knot', 'line', 'line'])
    expect(parts[0]).toMatchObject({ isOpen: true })
    expect(parts[1]!.effort).toBeGreaterThan(100)
    expect(parts[2]).toEqual({ kind: 'bare', seconds: 120 })
    expect(brackets).toEqual([{ from: 1, to: 5, words: '3', depth: 0 }])
  })
  it('holds repeats in repeats, each round of the outer one by its own', () => {
    const { parts, brackets } = cord('sport ride\n\n2 times\n  3 times\n    1:00 @ 110 %CP\n    1:00 @ 50 %CP\n  recovery 4:00')
    expect(parts).toHaveLength(14)
    expect(brackets.map(({ from, to, words, depth }) => [from, to, words, depth])).toEqual([
      [0, 5, '3', 1],
      [7, 12, '3', 1],
      [0, 13, '2', 0],
    ])
  })
  it('knows no effort where nothing tells one, and that of a stride', () => {
    expect(cord('sport run\n\n6 times\n  0:20 stride\n  recovery 0:40').parts[0]).toMatchObject({ kind: 'knot', effort: 108 })
    expect(cord('sport run\n\n10:00 @ 85-95 rpm').parts[0]).toMatchObject({ kind: 'knot', effort: null })
  })
  it('parts sports by a ring', () => {
    expect(kinds('sport multi\n\nleg swim\n  400 m @ critical effort\nleg ride\n  20:00 @ 90 %CP\nleg run\n  5 km @ easy effort')).toEqual([
      'knot',
      'ring',
      'knot',
      'ring',
      'line',
    ])
  })
  it('shows one round of each repeat where all would be too many', () => {
    const { parts, brackets } = cord('sport run\n\nwarm-up 10:00\n100 times\n  0:30 @ 5k effort\n  recovery 0:30\ncool-down 10:00')
    expect(parts.map(({ kind }) => kind)).toEqual(['line', 'knot', 'bare', 'line'])
    expect(brackets).toEqual([{ from: 1, to: 2, words: '100', depth: 0 }])
  })
  it('of any session is bounded, its brackets within it, its seconds known', () => {
    fc.assert(
      fc.property(arbitrarySession, fc.constantFrom(seenBy(ilse), nobody), (session: Session, standpoint) => {
        const { parts, brackets } = cordOf(session, reckon(session, standpoint), standpoint)
        expect(parts.length).toBeLessThanOrEqual(120)
        for (const { seconds, effort = 0 } of parts) expect(Number.isFinite(seconds) && seconds >= 0 && (effort ?? 0) >= 0).toBe(true)
        for (const { from, to } of brackets) expect(from <= to && from >= 0).toBe(true)
      }),
      { numRuns: 300 },
    )
  })
})

describe('a cord for the ear', () => {
  it('is the session in a sentence', () => {
    expect(
      sayCord(cord('sport run\n\nwarm-up 15:00\n5 times, drop last recovery\n  5:00 @ 5k effort\n  recovery 2:00\ncool-down 10:00')),
    ).toBe('15 min easy; 5 times 5 min of work, 2 min between; 10 min easy')
    expect(sayCord(cord('sport run\n\nrepeat for 5 km\n  0:40 @ 5k effort\n  recovery 0:20'))).toBe(
      'again and again 40 s of work, 20 s between',
    )
  })
})
