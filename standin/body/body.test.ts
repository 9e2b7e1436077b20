import { describe, expect, it } from 'vitest'
import { ilse } from '../../demo/athlete'
import { randomFrom } from '../../core/quantity/random'
import { readScript } from '../../core/script/reader/read-script'
import { digestOf } from '../../core/wrist/program/digest'
import { fit } from '../../core/wrist/fit/fit'
import { profileNamed } from '../../core/wrist/program/profile'
import { rehearse } from './rehearse'
import { heed, live, restedBody } from './body'
import { nobody } from '../../core/athlete/standpoint'
import { seenBy } from '../../tests/support/standpoint'

const sessionOf = (text: string) => readScript(text, nobody).sessions[0]!
const programOf = (text: string) => fit(sessionOf(text), profileNamed('all-sport')!, seenBy(ilse)).program
const startedAt = '2026-03-31T06:00:00.000Z'
const mean = (values: number[]) => values.reduce((sum, value) => sum + value, 0) / values.length

describe('the simulated body', () => {
  const steady = programOf('sport ride\n\n20:00 @ 190-200 W')

  it('holds what it means to hold, with the spread of a person', () => {
    const { samples } = rehearse(steady, ilse, { seed: 2, startedAt })
    const power = samples.power!.slice(60).map(Number)
    expect(Math.abs(mean(power) - 195)).toBeLessThan(3)
    const spread = Math.sqrt(mean(power.map(value => (value - mean(power)) ** 2))) / 195
    expect(spread).toBeGreaterThan(0.05)
    expect(spread).toBeLessThan(0.09)
  })

  it('has a heart that rises with a time constant of 30 s, stays below its maximum and falls slower', () => {
    const { samples, marks } = rehearse(programOf('sport run\n\n5:00 @ 4:30-4:40 /km\nrest 3:00'), ilse, { seed: 2, startedAt })
    const heart = samples.heartRate!.map(Number)
    const rest = marks.find(mark => mark.kind === 'step' && mark.path === '2')!.t
    const [first, top, later] = [heart[0]!, heart[rest - 1]!, heart[rest + 49]!]
    expect((heart[29]! - first) / (top - first)).toBeCloseTo(0.63, 1)
    expect(Math.max(...heart)).toBeLessThanOrEqual(ilse.heart!.max! + 2)
    expect((top - later) / (top - 50)).toBeCloseTo(0.63, 0)
  })

  it('stands still in a rest and without a step', () => {
    let body = restedBody(ilse)
    for (let second = 0; second < 30; second++)
      body = live(body, { athlete: ilse, sport: 'run', step: null, along: 0 }, 1, randomFrom(1), { bias: 0 }).body
    expect(body.metres).toBe(0)
  })

  it('brings the same recording for the same seed and another for another', () => {
    expect(rehearse(steady, ilse, { seed: 5, startedAt })).toEqual(rehearse(steady, ilse, { seed: 5, startedAt }))
    expect(digestOf(rehearse(steady, ilse, { seed: 5, startedAt }))).not.toBe(digestOf(rehearse(steady, ilse, { seed: 6, startedAt })))
  })

  it('cannot go on above critical when its reserve is spent', () => {
    const { samples } = rehearse(programOf('sport ride\n\n25:00 @ 300-310 W'), ilse, { seed: 2, startedAt })
    const power = samples.power!.map(Number)
    expect(mean(power.slice(30, 120))).toBeGreaterThan(285)
    expect(mean(power.slice(-300))).toBeLessThan(ilse.ride!.criticalPower! * 1.02)
  })

  it('is slower uphill at the same effort, and says how high it is', () => {
    const flat = rehearse(programOf('sport run\n\n20:00 @ RPE 5'), ilse, { seed: 2, startedAt })
    const hilly = rehearse(programOf('sport run\n\n20:00 @ RPE 5'), ilse, {
      seed: 2,
      startedAt,
      behaviour: { hills: { percent: 8, metres: 600 } },
    })
    expect(hilly.samples.metres.at(-1)!).toBeLessThan(flat.samples.metres.at(-1)!)
    expect(flat.samples.altitude).toBeUndefined()
    expect(Math.max(...hilly.samples.altitude!.map(Number))).toBeCloseTo((0.08 * 600) / Math.PI, 0)
  })

  it('touches the wall length by length in a pool', () => {
    const { samples } = rehearse(programOf('sport swim\nplace pool 25 m\n\n200 m @ 1:50 /100m'), ilse, { seed: 2, startedAt })
    expect(new Set(samples.metres.map(Number))).toEqual(new Set([0, 25, 50, 75, 100, 125, 150, 175, 200]))
  })

  it('makes its mistakes: a change unnoticed, a start too fast, a watch not stopped', () => {
    const program = programOf('sport ride\n\n5:00 @ 120-130 W\n5:00 @ 200-210 W')
    const around = (behaviour: Parameters<typeof rehearse>[2]['behaviour'], from: number, to: number) =>
      mean(rehearse(program, ilse, { seed: 3, startedAt, behaviour }).samples.power!.slice(from, to).map(Number))
    expect(around({ missesCue: 1 }, 301, 305)).toBeLessThan(150)
    expect(around({}, 301, 305)).toBeGreaterThan(170)
    expect(around({ startsFast: 0.2 }, 303, 318)).toBeGreaterThan(around({}, 303, 318) * 1.15)
    expect(rehearse(program, ilse, { seed: 3, startedAt, behaviour: { forgetsStop: 90 } }).samples.t.at(-1)).toBe(690)
  })

  it('heeds a nudge, and nothing else', () => {
    const rested = restedBody(ilse)
    const strayed = { ...rested, wander: { ...rested.wander, quick: 0.1 } }
    expect(heed(strayed, [{ kind: 'nudge', t: 1, side: 'too-hard' }]).wander.quick).toBeCloseTo(0.04)
    expect(strayed.wander.quick).toBe(0.1)
    expect(heed(strayed, [{ kind: 'halfway', t: 1 }])).toBe(strayed)
  })

  it('is without metres in a tunnel and has them all behind it', () => {
    const { samples } = rehearse(programOf('sport run\n\n5:00 @ 5:00-5:10 /km'), ilse, {
      seed: 2,
      startedAt,
      behaviour: { silentPosition: { from: 100, to: 130 } },
    })
    expect(samples.metres.slice(99, 129).every(value => value === null)).toBe(true)
    expect(samples.metres[130]! - samples.metres[98]!).toBeGreaterThan(80)
  })
})
