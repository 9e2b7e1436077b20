import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { gradeFactor } from '../athlete/grade'
import { formatTime } from '../quantity/time'
import { exactly, unknown } from '../reckon/interval'
import { homeBy, parseClockTime, sayClockTime, startFor } from '../reckon/home'
import { lapMetres } from '../reckon/lap'
import { poolLengths, splitUnits, splitsOf } from '../reckon/splits'
import { readScript } from '../script/reader/read-script'
import { equivalentTimes } from './equivalent'
import { fuelPrompt, fuelTimes } from './fuel'
import { movementOf } from './movement'
import { pacedSplits } from './pacing'
import { sendOffsFor } from './send-off'
import { beltFor, flatFor } from './treadmill'
import { nobody } from '../athlete/standpoint'

const positive = fc.double({ min: 0.01, max: 1e6, noNaN: true })

describe('distance, time and speed', () => {
  it('give each other from any two', () => {
    fc.assert(
      fc.property(positive, positive, (metres, seconds) => {
        const first = movementOf({ metres, seconds })
        if (!first.ok) throw new Error(first.missing)
        const { speed } = first.movement
        const [back, over] = [movementOf({ metres, speed }), movementOf({ seconds, speed })]
        expect(back.ok && back.movement.seconds / seconds).toBeCloseTo(1, 9)
        expect(over.ok && over.movement.metres / metres).toBeCloseTo(1, 9)
      }),
    )
  })
  it('ask for two where there is one, and take no zero and no NaN', () => {
    for (const given of [
      {},
      { metres: 400 },
      { metres: 0, seconds: 60 },
      { metres: Number.NaN, seconds: 60 },
      { seconds: Infinity, speed: 3 },
    ])
      expect(movementOf(given)).toEqual({ ok: false, missing: 'two of distance, time and pace' })
  })
})

describe('splits', () => {
  it('of an even pace stand at each whole unit and at the end', () => {
    expect(splitsOf(1000, 4, 400)).toEqual([
      { metres: 400, seconds: 100 },
      { metres: 800, seconds: 200 },
      { metres: 1000, seconds: 250 },
    ])
    expect(splitsOf(800, 4, 400)).toHaveLength(2)
    expect(splitsOf(0, 4, 400)).toEqual([])
  })
  it('add up to the distance and the time, however they are paced', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 400, max: 42_195 }),
        fc.integer({ min: 60, max: 20_000 }),
        fc.constantFrom(200, 400, 1000),
        fc.constantFrom('even' as const, 'negative' as const, 'progressive' as const),
        fc.double({ min: 0, max: 0.2, noNaN: true }),
        (metres, seconds, unit, pacing, change) => {
          const splits = pacedSplits(metres, seconds, unit, pacing, change)
          expect(splits.reduce((sum, split) => sum + split.metres, 0)).toBeCloseTo(metres, 6)
          expect(splits.reduce((sum, split) => sum + split.seconds, 0)).toBeCloseTo(seconds, 6)
          expect(splits.at(-1)!.elapsed).toBe(seconds)
        },
      ),
      { numRuns: 200 },
    )
  })
  it('of a negative split run the second half faster, of a progressive one each split', () => {
    const halves = pacedSplits(10_000, 2820, 5000, 'negative', 0.02)
    expect(halves.map(split => formatTime(Math.round(split.seconds)))).toEqual(['23:44', '23:16'])
    const rising = pacedSplits(10_000, 2820, 1000, 'progressive', 0.05).map(split => split.seconds)
    expect(rising.every((seconds, index) => index === 0 || seconds < rising[index - 1]!)).toBe(true)
  })
  it('are told in the units of the place', () => {
    expect(splitUnits('swim', { kind: 'pool', length: 25, unit: 'yd' }).map(unit => unit.metres)).toEqual([22.86, 91.44])
    expect(splitUnits('run', { kind: 'track', lane: 2 }).find(unit => unit.name === 'lap')!.metres).toBe(lapMetres(2))
    expect(splitUnits('ride').map(unit => unit.name)).toEqual(['1 km', '1 mi'])
  })
  it('of a pool are whole lengths', () => {
    expect([poolLengths(110, 25), poolLengths(100, 25), poolLengths(1, 50)]).toEqual([
      { lengths: 5, metres: 125 },
      { lengths: 4, metres: 100 },
      { lengths: 1, metres: 50 },
    ])
  })
})

describe('lanes (World Athletics track geometry)', () => {
  it.each([
    [1, 400],
    [2, 407.04],
    [3, 414.7],
    [8, 453.03],
  ])('lane %i is %d m', (lane, metres) => expect(lapMetres(lane)).toBeCloseTo(metres, 1))
})

describe('home by', () => {
  it('counts on to the minute, over midnight too', () => {
    expect(sayClockTime(homeBy(390, exactly(3600)).likely!)).toBe('07:30')
    expect(sayClockTime(homeBy(1430, exactly(901)).likely!)).toBe('00:06 next day')
    expect(homeBy(390, unknown).likely).toBeNull()
  })
  it('counts back: who starts then is home in time', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1439 }), fc.integer({ min: 1, max: 172_800 }), (home, seconds) => {
        const start = startFor(home, exactly(seconds)).likely!
        const back = homeBy(start.minutes + start.days * 1440, exactly(seconds)).likely!
        expect(back.minutes + back.days * 1440).toBe(home)
      }),
    )
    expect(startFor(450, { low: 3000, likely: 3600, high: null }).safe).toBeNull()
  })
  it('reads clock times as people type them', () => {
    expect(['06:30', '6.30', '630', '7', '24:00', '6:75', 'soon'].map(parseClockTime)).toEqual([390, 390, 390, 420, null, null, null])
  })
})

describe('the rest of the reckoner', () => {
  it('gives equivalent times by both schools (Riegel 1981, Daniels & Gilbert 1979)', () => {
    const [five] = equivalentTimes({ metres: 10_000, seconds: 2820 }, [5000], 'run', nobody)
    expect(five!.byPowerLaw).toBeCloseTo(2820 * 0.5 ** 1.06, 6)
    expect(Math.abs(five!.byOxygen! - five!.byPowerLaw)).toBeLessThan(15)
    expect(equivalentTimes({ metres: 400, seconds: 436 }, [1500], 'swim', nobody)[0]).toMatchObject({
      byOxygen: null,
      byPowerLaw: expect.closeTo(436 * 3.75 ** 1.03, 6),
    })
    expect(equivalentTimes({ metres: 0, seconds: 1 }, [5000], 'run', nobody)).toEqual([])
  })
  it('gives the belt speed on a grade, and back (Minetti 2002)', () => {
    expect(beltFor(4, 6)).toBeCloseTo(4 / gradeFactor(0.06), 9)
    expect(flatFor(beltFor(4, 6), 6)).toBeCloseTo(4, 9)
  })
  it('gives send-offs a whole five seconds apart, each leaving some rest', () => {
    expect(sendOffsFor(112, 2)).toEqual([
      { sendOff: 115, rest: 3, share: 3 / 115 },
      { sendOff: 120, rest: 8, share: 8 / 120 },
    ])
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 172_800, noNaN: true }), seconds => sendOffsFor(seconds, 5).every(row => row.rest > 0)),
    )
    expect(sendOffsFor(Number.NaN, 3)).toEqual([])
  })
  it('gives times to drink at, none so late that it does not help, and a prompt that the reader takes', () => {
    expect(fuelTimes({ first: 2400, every: 1200 }, 7200)).toEqual([2400, 3600, 4800, 6000])
    expect([fuelTimes({ first: 2400, every: 0 }, 7200), fuelTimes({ first: 2400, every: 1200 }, 1800)]).toEqual([[], []])
    const { sessions, remarks } = readScript(
      `sport ride\n${fuelPrompt('drink', { first: 2400, every: 1200 }, null)}\n` +
        `${fuelPrompt('eat', { first: 3600, every: 1800 }, 2)}\n\n2:00:00\n`,
      nobody,
    )
    expect(sessions[0]!.prompts).toEqual([
      { say: 'drink', from: 2400, every: 1200 },
      { say: 'eat', from: 3600, every: 1800, count: 2 },
    ])
    expect(remarks).toEqual([])
  })
})

describe('whatever is typed', () => {
  it('no sum brings a NaN, an infinity or a number below zero', () => {
    const any = fc.double()
    const isSound = (value: number) => Number.isFinite(value) && value >= 0
    fc.assert(
      fc.property(any, any, any, fc.constantFrom('even' as const, 'negative' as const, 'progressive' as const), (a, b, c, pacing) => {
        const movement = movementOf({ metres: a, seconds: b, speed: c })
        const isUsual = (value: number) => value > 1e-3 && value < 1e7
        if (movement.ok && [a, b, c].every(value => !(value > 0) || isUsual(value)))
          expect(Object.values(movement.movement).every(isSound)).toBe(true)
        if (isUsual(a) && isUsual(b)) {
          expect(
            pacedSplits(a, b, Math.max(a / 50, 1e-3), pacing, c).every(split => isSound(split.seconds) && isSound(split.elapsed)),
          ).toBe(true)
          expect(
            equivalentTimes({ metres: a, seconds: b }, [400, 5000], 'run', nobody).every(
              row => isSound(row.byPowerLaw) && (row.byOxygen === null || isSound(row.byOxygen)),
            ),
          ).toBe(true)
        }
        expect(sendOffsFor(a, b).every(row => isSound(row.sendOff) && isSound(row.rest))).toBe(true)
        expect(fuelTimes({ first: a, every: b }, c).every(isSound)).toBe(true)
      }),
      { numRuns: 2000 },
    )
  })
})
