import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ilse } from '../../demo/athlete'
import { rehearse } from '../../standin/body/rehearse'
import type { Behaviour } from '../../standin/body/behaviour'
import { standpointOf } from '../athlete/standpoint'
import { reckon } from '../reckon/reckon'
import { score } from '../record/score'
import { readScript } from '../script/reader/read-script'
import { fit } from '../wrist/fit/fit'
import { profileNamed } from '../wrist/program/profile'
import type { NextKind } from './next'
import { nextOf } from './next'

const startedAt = '2026-03-30T08:00:00.000Z'
const standpoint = standpointOf(ilse, '2026-04-01')
const read = (rows: string, sport = 'run') => readScript(`sport ${sport}\n\n${rows}\n`, standpoint).sessions[0]!
const threes = read('10:00 easy\n5 times\n  3:00 @ 4:16-4:24 /km\n  recovery 2:00\n10:00 easy')
const hour = read('1:00:00 @ 5:40-6:10 /km')
const race = read('10 km @ 10k effort')
const capped = read('40:00 @ 5:40-6:10 /km\nceiling 120 bpm'.split('\n').reverse().join('\n\n'))
const sweet = read('15:00 easy\n3 times\n  10:00 @ 180-195 W\n  recovery 4:00\n10:00 easy', 'ride')

interface History {
  behaviour?: Partial<Behaviour>
  stopAt?: number
  felt?: { rpe?: number; pain?: boolean }
  on?: string
  marks?: boolean
}
function next(session: typeof threes, { behaviour, stopAt, felt, on = '2026-04-01', marks = true }: History = {}) {
  const own = standpointOf(ilse, on)
  const { program } = fit(session, profileNamed('all-sport')!, own)
  const presses = stopAt === undefined ? [] : [{ t: stopAt, button: 'stop' as const }]
  const done = rehearse(program, ilse, { seed: 2, startedAt, presses, ...(behaviour ? { behaviour } : {}) })
  const recording = { ...done, ...(marks ? {} : { marks: [] }), ...(felt ? { felt } : {}) }
  return nextOf(session, recording, score(program, recording, ilse), own)
}
const order: NextKind[] = ['progress', 'repeat', 'ease', 'rest']

describe('what to do with a session the next time', () => {
  it.each([
    ['all of it done and held', threes, {}, 'progress'],
    ['done, and it felt as forecast', threes, { felt: { rpe: 6 } }, 'progress'],
    ['done, and it felt easy', threes, { felt: { rpe: 4 } }, 'progress'],
    ['done, but it felt much harder', threes, { felt: { rpe: 10 } }, 'ease'],
    ['done with pain', threes, { felt: { rpe: 5, pain: true } }, 'rest'],
    ['ended before half of it', threes, { stopAt: 1100 }, 'ease'],
    ['one repeat left out', threes, { stopAt: 1850 }, 'repeat'],
    ['all repeats too slow', threes, { behaviour: { bias: -0.08 } }, 'ease'],
    ['all repeats too fast', threes, { behaviour: { bias: 0.035 } }, 'repeat'],
    ['done, five weeks ago', threes, { on: '2026-05-10' }, 'repeat'],
    ['found by its shape', threes, { marks: false }, 'progress'],
    ['an easy hour', hour, { felt: { rpe: 3 } }, 'progress'],
    ['an easy hour that was none', hour, { felt: { rpe: 7 } }, 'ease'],
    ['an easy hour cut short', hour, { stopAt: 1500 }, 'ease'],
    ['an easy run over the ceiling', capped, { felt: { rpe: 3 } }, 'ease'],
    ['a race', race, { felt: { rpe: 9.5 } }, 'repeat'],
    ['a race with pain', race, { felt: { rpe: 9.5, pain: true } }, 'rest'],
    ['a ride done as planned', sweet, { felt: { rpe: 5 } }, 'progress'],
    ['a ride that was all there was', sweet, { felt: { rpe: 10 } }, 'ease'],
    ['a ride below its band', sweet, { behaviour: { bias: -0.12 } }, 'ease'],
    ['a ride left after two parts', sweet, { stopAt: 2600 }, 'ease'],
  ] as [string, typeof threes, History, NextKind][])('%s', (_, session, history, kind) => {
    const [first, ...others] = next(session, history)
    expect([first!.kind, first!.because]).toEqual([kind, expect.arrayContaining([expect.stringMatching(/\.$/)])])
    expect(others.every(one => order.indexOf(one.kind) > order.indexOf(first!.kind))).toBe(true)
  })

  it('gives the session as it would be done, longer or shorter by what it says', () => {
    const seconds = (session: typeof threes) => reckon(session, standpoint).seconds.likely!
    const [step] = next(threes, { felt: { rpe: 5 } })
    expect([step!.kind, step!.by !== null, step!.session]).not.toContainEqual(threes)
    expect(step!.cautions[0]).toMatch(/One step at a time/)
    const [rest] = next(hour, { felt: { rpe: 3, pain: true } })
    expect(seconds(rest!.session)).toBeLessThan(seconds(hour))
    expect(rest!.cautions.join(' ')).toMatch(/doctor or physiotherapist/)
  })

  it('is never harder for more pain, a higher felt effort, or less of it done', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(threes, hour, sweet),
        fc.integer({ min: 0, max: 10 }),
        fc.integer({ min: 0, max: 10 }),
        fc.boolean(),
        fc.constantFrom(undefined, 1200, 1900),
        (session, one, other, pain, stopAt) => {
          const kindOf = (rpe: number, hurts: boolean, end?: number) =>
            order.indexOf(next(session, { felt: { rpe, pain: hurts }, ...(end ? { stopAt: end } : {}) })[0]!.kind)
          const [less, more] = [Math.min(one, other), Math.max(one, other)]
          expect(kindOf(more, pain, stopAt)).toBeGreaterThanOrEqual(kindOf(less, pain, stopAt))
          expect(kindOf(less, true, stopAt)).toBe(3)
          expect(kindOf(less, pain, stopAt)).toBeGreaterThanOrEqual(kindOf(less, pain))
        },
      ),
      { numRuns: 25 },
    ))
})
