import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ilse } from '../../demo/athlete'
import { arbitrarySession } from '../../tests/support/arbitrary-session'
import { reckon } from '../reckon/reckon'
import { printSession } from '../script/print'
import { readScript } from '../script/reader/read-script'
import type { Item } from '../session/document'
import { diffSessions, rowsOf, sameContent } from './diff'
import { proposeSizes } from '../advise/sizes'
import { nobody } from '../athlete/standpoint'
import { seenBy } from '../../tests/support/standpoint'

const read = (rows: string, head = 'sport run') => readScript(`${head}\n\n${rows}\n`, nobody).sessions[0]!

describe('what differs between two sessions', () => {
  it('tells added, removed and changed rows apart, and the headers', () => {
    const before = read('warm-up 10:00\n4 times\n  400 m @ 5k effort\n  rest 1:00\ncool-down 10:00')
    const after = read('warm-up 10:00\n6 times\n  400 m @ 5k effort\n  rest 0:45\n5:00 @ easy effort', 'title Short rests\nsport run')
    const { rows, headers } = diffSessions(before, after)
    expect(rows.map(row => [row.change, 'before' in row ? row.before.words : null, 'after' in row ? row.after.words : null])).toEqual([
      ['same', 'warm-up 10:00', 'warm-up 10:00'],
      ['changed', '4 times', '6 times'],
      ['same', '400 m @ 5k effort', '400 m @ 5k effort'],
      ['changed', 'rest 1:00', 'rest 0:45'],
      ['changed', 'cool-down 10:00', '5:00 @ easy effort'],
    ])
    expect(headers).toEqual({ before: [], after: ['title Short rests'] })
  })

  it('keeps both sides in order, and finds nothing between a session and itself', () => {
    fc.assert(
      fc.property(arbitrarySession, arbitrarySession, (one, other) => {
        expect(sameContent(one, one)).toBe(true)
        const { rows } = diffSessions(one, other)
        expect(rows.filter(row => 'before' in row).map(row => (row as { before: { path: string } }).before.path)).toEqual(
          rowsOf(one.items).map(row => row.path),
        )
        expect(rows.filter(row => 'after' in row).map(row => (row as { after: { path: string } }).after.path)).toEqual(
          rowsOf(other.items).map(row => row.path),
        )
      }),
      { numRuns: 500 },
    )
  }, 60_000)
})

const targetsOf = (items: readonly Item[]): string[] =>
  items.flatMap(item =>
    item.kind === 'step' ? [JSON.stringify(item.target ?? null)] : item.kind === 'unread' ? [] : targetsOf(item.items),
  )

describe('the same session in another length', () => {
  const session = read('warm-up 15:00\n8 times, drop last recovery\n  3:00 @ 5k effort\n  recovery 2:00\ncool-down 10:00')

  it('takes repeats away before the warm-up is trimmed', () => {
    const [first, ...others] = proposeSizes(session, seenBy(ilse), 50 * 60)
    expect(first).toMatchObject({ label: 'fewer repeats', why: expect.stringMatching(/^5 rounds instead of 8/) })
    expect(printSession(first!.session)).toContain('warm-up 15:00\n5 times')
    expect(others.length).toBeGreaterThan(0)
  })

  it('adds volume, or sets of fewer, and never intensity', () => {
    const proposals = proposeSizes(session, seenBy(ilse), 75 * 60)
    expect(proposals.map(proposal => proposal.label)).toEqual(expect.arrayContaining(['more repeats', 'more sets of fewer']))
    for (const proposal of proposals) expect(Math.abs(proposal.seconds - 75 * 60)).toBeLessThanOrEqual(150)
  })

  it('stretches a plain run, and says what it could not reach', () => {
    expect(proposeSizes(read('1:00:00 @ easy effort'), seenBy(ilse), 45 * 60)[0]!.session.items[0]).toMatchObject({
      end: { on: 'time', seconds: 45 * 60 },
    })
    const [nearest, ...others] = proposeSizes(session, seenBy(ilse), 10 * 60)
    expect(nearest!.why).toMatch(/would not be the same session/)
    expect(others).toEqual([])
    expect(proposeSizes(session, seenBy(ilse), reckon(session, seenBy(ilse)).seconds.likely!)).toEqual([])
  })

  it('changes no target, whatever the session', () => {
    fc.assert(
      fc.property(arbitrarySession, fc.integer({ min: 300, max: 9000 }), (any, seconds) => {
        const before = new Set([...targetsOf(any.items), 'null'])
        for (const proposal of proposeSizes(any, seenBy(ilse), seconds))
          for (const target of targetsOf(proposal.session.items)) expect(before.has(target)).toBe(true)
      }),
      { numRuns: 60 },
    )
  }, 120_000)
})
