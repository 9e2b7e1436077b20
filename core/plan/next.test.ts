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
import { hardDaysAround } from './full-week'
import type { NextKind } from './next'
import { nextOf } from './next'

const startedAt = '2026-03-30T08:00:00.000Z'
const standpoint = standpointOf(ilse, '2026-04-01')
const read = (rows: string, sport = 'run') => readScript(`sport ${sport}\n\n${rows}\n`, standpoint).sessions[0]!
const threes = read('10:00 easy\n5 times\n  3:00 @ 4:16-4:24 /km\n  recovery 2:00\n10:00 easy')
const hour = read('1:00:00 @ 5:40-6:10 /km')
const race = read('10 km @ 10k effort')
const capped = read('40:00 @ 5:40-6:10 /km\nceiling 120 bpm'.split('\n').reverse().join('\n\n'))
const hills = read('15:00 easy\n8 times\n  1:30 @ 3k effort\n  recovery 2:00 jog\n10:00 easy')
const tempo = read('15:00 easy\n20:00 @ threshold effort\n10:00 easy')
const longRun = read('1:50:00 @ 5:40-6:15 /km')
const hundreds = read('place pool 25 m\n\n300 m easy\n10 times\n  100 m @ 1:54-2:02 /100m\n  rest 0:20\n200 m easy', 'swim')
const spin = read('1:00:00 @ 110-140 W', 'ride')
const sweet = read('15:00 easy\n3 times\n  10:00 @ 180-195 W\n  recovery 4:00\n10:00 easy', 'ride')

interface History {
  behaviour?: Partial<Behaviour>
  stopAt?: number
  felt?: { rpe?: number; pain?: boolean }
  on?: string
  marks?: boolean
  hardDays?: number
}
function next(session: typeof threes, { behaviour, stopAt, felt, on = '2026-04-01', marks = true, hardDays = 0 }: History = {}) {
  const own = standpointOf(ilse, on)
  const { program } = fit(session, profileNamed('all-sport')!, own)
  const presses = stopAt === undefined ? [] : [{ t: stopAt, button: 'stop' as const }]
  const done = rehearse(program, ilse, { seed: 2, startedAt, presses, ...(behaviour ? { behaviour } : {}) })
  const recording = { ...done, ...(marks ? {} : { marks: [] }), ...(felt ? { felt } : {}) }
  return nextOf(session, recording, score(program, recording, ilse), own, hardDays)
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
    ['hills done, felt as forecast', hills, { felt: { rpe: 5 } }, 'progress'],
    ['hills with pain', hills, { felt: { rpe: 4, pain: true } }, 'rest'],
    ['hills left half way', hills, { stopAt: 1700 }, 'ease'],
    ['hills that were all there was', hills, { felt: { rpe: 9.5 } }, 'ease'],
    ['hills, a month ago', hills, { on: '2026-05-01' }, 'repeat'],
    ['hills, in a week that is full', hills, { felt: { rpe: 5 }, hardDays: 3 }, 'repeat'],
    ['hills, in a week with two hard days', hills, { felt: { rpe: 5 }, hardDays: 2 }, 'progress'],
    ['a tempo held', tempo, { felt: { rpe: 5 } }, 'progress'],
    ['a tempo too fast', tempo, { behaviour: { bias: 0.05 } }, 'repeat'],
    ['a tempo too slow', tempo, { behaviour: { bias: -0.08 } }, 'ease'],
    ['a tempo ended in the middle', tempo, { stopAt: 1400 }, 'ease'],
    ['a tempo that felt two harder', tempo, { felt: { rpe: 8.5 } }, 'ease'],
    ['a tempo with pain, well held', tempo, { felt: { rpe: 4, pain: true } }, 'rest'],
    ['a tempo found by its shape', tempo, { marks: false, felt: { rpe: 5 } }, 'progress'],
    ['a tempo, three weeks and a day ago', tempo, { on: '2026-04-21' }, 'repeat'],
    ['a tempo, three weeks ago', tempo, { on: '2026-04-20', felt: { rpe: 5 } }, 'progress'],
    ['a long run as planned', longRun, { felt: { rpe: 5 } }, 'progress'],
    ['a long run that felt like a race', longRun, { felt: { rpe: 9 } }, 'ease'],
    ['a long run cut at an hour', longRun, { stopAt: 3600 }, 'ease'],
    ['a long run with pain', longRun, { felt: { rpe: 5, pain: true } }, 'rest'],
    ['a long run too fast', longRun, { behaviour: { bias: 0.1 } }, 'repeat'],
    ['a swim done and held', hundreds, { felt: { rpe: 5 } }, 'progress'],
    ['a swim that felt much harder', hundreds, { felt: { rpe: 9.5 } }, 'ease'],
    ['a swim with pain in it', hundreds, { felt: { rpe: 5, pain: true } }, 'rest'],
    ['a swim left half way', hundreds, { stopAt: 1000 }, 'ease'],
    ['a swim too slow', hundreds, { behaviour: { bias: -0.09 } }, 'ease'],
    ['a swim, five weeks ago', hundreds, { on: '2026-05-06' }, 'repeat'],
    ['an easy spin', spin, { felt: { rpe: 2 } }, 'progress'],
    ['an easy spin in a full week', spin, { felt: { rpe: 2 }, hardDays: 4 }, 'progress'],
    ['an easy spin that felt hard', spin, { felt: { rpe: 7 } }, 'ease'],
    ['an easy spin with pain', spin, { felt: { rpe: 2, pain: true } }, 'rest'],
    ['an easy spin left after a quarter of an hour', spin, { stopAt: 900 }, 'ease'],
    ['an easy spin, not said how it felt', spin, {}, 'progress'],
    ['a ride that is easy enough for a full week', sweet, { felt: { rpe: 5 }, hardDays: 3 }, 'progress'],
    ['a ride with pain in a full week', sweet, { felt: { rpe: 5, pain: true }, hardDays: 3 }, 'rest'],
    ['a ride too hard', sweet, { behaviour: { bias: 0.08 } }, 'repeat'],
    ['a ride, a month ago, well held', sweet, { on: '2026-05-02', felt: { rpe: 5 } }, 'repeat'],
    ['an easy hour, all of it too fast', hour, { behaviour: { bias: 0.12 }, felt: { rpe: 4 } }, 'repeat'],
    ['an easy hour with pain', hour, { felt: { rpe: 3, pain: true } }, 'rest'],
    ['repeats in a full week', threes, { felt: { rpe: 5 }, hardDays: 3 }, 'repeat'],
  ] as [string, typeof threes, History, NextKind][])('%s', (_, session, history, kind) => {
    const [first, ...others] = next(session, history)
    expect([first!.kind, first!.because]).toEqual([kind, expect.arrayContaining([expect.stringMatching(/\.$/)])])
    expect(others.every(one => order.indexOf(one.kind) > order.indexOf(first!.kind))).toBe(true)
  })

  it('counts the other hard days around it by their days', () => {
    const on = (day: string, level: 'hard' | 'easy' | 'race') => ({ day, burden: { level } })
    const plan = [
      on('2026-04-06', 'hard'),
      on('2026-04-06', 'race'),
      on('2026-04-08', 'hard'),
      on('2026-04-09', 'easy'),
      on('2026-04-13', 'hard'),
    ]
    expect(hardDaysAround('2026-04-08', plan)).toBe(1)
    expect(hardDaysAround('2026-04-07', plan)).toBe(2)
    expect(hardDaysAround('2026-04-10', [...plan, { day: '2026-04-10', burden: null }])).toBe(2)
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
