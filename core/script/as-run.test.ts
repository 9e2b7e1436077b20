import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { arbitrarySession } from '../../tests/support/arbitrary-session'
import { readScript } from './reader/read-script'
import type { Item } from '../session/document'
import { normalise } from '../session/normalise'
import type { RowResult } from './as-run'
import { parseResult, printAsRun, printResult } from './as-run'
import { resultsOf } from '../record/results'
import type { ScoredStep } from '../record/score'
import { nobody } from '../athlete/standpoint'

const runs = Number(process.env.LAW_RUNS ?? 2000) / 4
const round = fc.oneof(
  fc.integer({ min: 1, max: 20_000 }).map(seconds => ({ seconds })),
  fc.integer({ min: 1, max: 9_999 }).map(metres => ({ metres })),
  fc.constant(null),
)
const result: fc.Arbitrary<RowResult> = fc.record(
  { rounds: fc.array(round, { minLength: 1, maxLength: 12 }), held: fc.integer({ min: 0, max: 100 }).map(percent => percent / 100) },
  { requiredKeys: ['rounds'] },
)

const stepPaths = (items: readonly Item[], prefix = ''): string[] =>
  items.flatMap((item, index) =>
    item.kind === 'step' ? [`${prefix}${index + 1}`] : item.kind === 'unread' ? [] : stepPaths(item.items, `${prefix}${index + 1}.`),
  )

describe('the script with what came of it', () => {
  it('stands behind each row and reads back', () => {
    const text =
      'sport run\n\nwarm-up 10:00  => 1850 m\n3 times, drop last recovery\n  400 m @ 5k effort  => 1:31 ' +
      '1:32 1:36, held 88 %  # tall\n  recovery 1:30 jog  => 220 m, not done\ncool-down until press  => ' +
      '8:02\n'
    const { sessions, results, remarks } = readScript(text, nobody)
    expect(remarks).toEqual([])
    expect(results[0]!.get('2.1')).toEqual({ rounds: [{ seconds: 91 }, { seconds: 92 }, { seconds: 96 }], held: 0.88 })
    expect(results[0]!.get('2.2')).toEqual({ rounds: [{ metres: 220 }, null] })
    expect(printAsRun(sessions[0]!, results[0]!)).toBe(text)
    expect(sessions[0]!.items[1]).toMatchObject({ items: [{ note: 'tall' }, {}] })
  })

  it('leaves an arrow alone that is no result', () => {
    expect(readScript('sport run\n\n5:00  # a => b\n', nobody).sessions[0]!.items[0]).toMatchObject({ note: 'a => b' })
    expect(readScript('sport run\n\n5:00  # a  => 1:00\n', nobody).sessions[0]!.items[0]).toMatchObject({ note: 'a  => 1:00' })
    expect(parseResult('soon')).toBeNull()
    expect(parseResult('')).toBeNull()
  })

  it('reads back what it prints, for every result', () => {
    fc.assert(
      fc.property(result, row => {
        expect(parseResult(printResult(row))).toEqual(row)
      }),
      { numRuns: runs },
    )
  })

  it('gives the session and the results back, for every session', () => {
    fc.assert(
      fc.property(arbitrarySession, fc.array(result, { minLength: 1, maxLength: 5 }), (session, rows) => {
        const results = new Map(
          stepPaths(session.items)
            .slice(0, rows.length)
            .map((path, index) => [path, rows[index]!]),
        )
        const read = readScript(printAsRun(session, results), nobody)
        expect(normalise(read.sessions[0]!)).toEqual(normalise(session))
        expect(read.results[0]).toEqual(results)
      }),
      { numRuns: runs },
    )
  }, 120_000)

  it('takes times for distances, distances for times and the mean held from a score', () => {
    const { sessions } = readScript('sport run\n\n2 times\n  400 m @ 5k effort\n  recovery 1:00\n', nobody)
    const step = (
      path: string,
      seconds: number,
      metres: number,
      held: number | null,
      status: ScoredStep['status'] = 'done',
    ): ScoredStep => ({
      path,
      round: [1],
      status,
      seconds,
      metres,
      held,
      mean: { speed: null, heartRate: null, power: null, cadence: null },
      startsAt: 0,
      endsAt: 0,
    })
    const results = resultsOf(sessions[0]!, [
      step('1.1', 91.2, 401, 0.9),
      step('1.2', 60, 151, null),
      step('1.1', 92.9, 400, 0.8),
      step('1.2', 0, 0, null, 'skipped'),
    ])
    expect(printAsRun(sessions[0]!, results)).toContain('400 m @ 5k effort  => 1:31 1:33, held 85 %\n  recovery 1:00  => 151 m, not done')
  })
})
