import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ilse } from '../../demo/athlete'
import { rehearse } from '../../standin/body/rehearse'
import { abilityOf, intensityOver } from '../athlete/ability'
import { standpointOf } from '../athlete/standpoint'
import { daysFrom } from '../quantity/day'
import { randomFrom } from '../quantity/random'
import type { Samples } from '../record/recording'
import { score } from '../record/score'
import { readScript } from '../script/reader/read-script'
import { fit } from '../wrist/fit/fit'
import { profileNamed } from '../wrist/program/profile'
import { bestEfforts } from './best-efforts'
import { habitsOf } from './habits'
import { learnFrom } from './learn'
import type { LearntRecording } from './mark-proposals'
import { proposeMarks } from './mark-proposals'

const newest = (ilse.efforts ?? [])
  .map(({ date }) => date)
  .sort()
  .at(-1)!
const today = daysFrom(newest, 45)
const standpoint = standpointOf(ilse, today)
const samplesOf = (speed: (t: number) => number, seconds: number): Samples => {
  let way = 0
  const t = Array.from({ length: seconds + 1 }, (_, index) => index)
  return { t, metres: t.map(at => (way += at === 0 ? 0 : speed(at))) }
}

describe('the best of a recording', () => {
  it('is the planted stretch, and never slower than a search of every start', () => {
    const samples = samplesOf(t => (t > 600 && t <= 850 ? 4.4 : 3), 2400)
    const best = bestEfforts({ sport: 'run', samples })
    expect(best.find(({ metres }) => metres === 1000)).toMatchObject({ value: expect.closeTo(4.4, 2) as number })
    expect(best.some(({ metres }) => metres === 10_000)).toBe(false)
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 6 }), { minLength: 400, maxLength: 600 }), speeds => {
        const own = samplesOf(t => speeds[t % speeds.length]!, 500)
        const found = bestEfforts({ sport: 'run', samples: own }).find(({ metres }) => metres === 400)!
        const { t, metres } = own
        const timeAt = (way: number) => {
          const after = metres.findIndex(value => value! >= way)
          const [low, high] = [metres[after - 1] ?? 0, metres[after]!]
          return after < 1 ? t[0]! : t[after - 1]! + (way - low) / (high - low)
        }
        const every = t.flatMap((from, index) => (metres.at(-1)! >= metres[index]! + 400 ? [timeAt(metres[index]! + 400) - from] : []))
        expect(found.seconds).toBeLessThanOrEqual(Math.min(...every) + 1e-6)
      }),
      { numRuns: 30 },
    )
  })
  it('of power is its mean over the time, and none over a gap', () => {
    const t = Array.from({ length: 900 }, (_, index) => index)
    const power = t.map(at => (at > 300 && at <= 480 ? 300 : 150))
    const best = bestEfforts({ sport: 'ride', samples: { t, metres: t, power } })
    expect(best.find(({ seconds }) => seconds === 180)!.value).toBeCloseTo(300, 0)
    const gapped = t.map(at => (at > 400 ? at + 60 : at))
    expect(
      bestEfforts({ sport: 'ride', samples: { t: gapped, metres: t, power } }).find(({ seconds }) => seconds === 180)!.value,
    ).toBeLessThan(300)
  })
})

/** Sessions of repeats over six weeks, each off its bands by a planted change and noise of its own. */
function history(change: number, noise: number, seed: number, sessions = 6, over: Partial<LearntRecording> = {}): LearntRecording[] {
  const random = randomFrom(seed)
  return Array.from({ length: sessions }, (_, index) => ({
    id: `r${index}`,
    title: 'Five threes',
    day: daysFrom(today, -38 + index * 6),
    sport: 'run' as const,
    rpe: 7,
    pain: false,
    ...over,
    learnt: { bests: [], evidence: { ratio: Math.log(1 + change) + noise * random.normal(), seconds: 900, steps: 5 } },
  }))
}

describe('marks that training speaks for', () => {
  const seeds = Array.from({ length: 200 }, (_, index) => index + 1)
  it('are found where fitness has changed, both ways', () => {
    for (const change of [0.03, -0.03]) {
      const found = seeds.map(seed => proposeMarks(history(change, 0.01, seed), standpoint)[0])
      expect(found.filter(Boolean).length).toBeGreaterThan(190)
      const some = found.find(Boolean)!
      expect(Math.sign(some.change)).toBe(Math.sign(change))
      expect(Math.abs(some.change)).toBeLessThanOrEqual(0.03)
      expect(some.effort).toMatchObject({ sport: 'run', metres: 5000, date: today })
      expect(Math.sign(some.today - some.effort.seconds)).toBe(Math.sign(change))
      expect(some.rests.length).toBe(6)
    }
  })
  it('are none of noise', () => {
    const found = seeds.filter(seed => proposeMarks(history(0, 0.015, seed), standpoint).length > 0)
    expect(found.length).toBeLessThanOrEqual(4)
    const wild = seeds.filter(seed => proposeMarks(history(0, 0.03, seed), standpoint).length > 0)
    expect(wild.length).toBeLessThanOrEqual(10)
  })
  it('are none of two sessions, of pain, of going all out, or of what was done before the newest mark', () => {
    expect(proposeMarks(history(0.03, 0.005, 1, 2), standpoint)).toEqual([])
    expect(proposeMarks(history(0.03, 0.005, 1, 6, { pain: true }), standpoint)).toEqual([])
    expect(proposeMarks(history(0.03, 0.005, 1, 6, { rpe: 10 }), standpoint)).toEqual([])
    expect(proposeMarks(history(-0.03, 0.005, 1, 6, { rpe: 10 }), standpoint).length).toBe(1)
    expect(proposeMarks(history(0.03, 0.005, 1, 6, { day: newest }), standpoint)).toEqual([])
    expect(proposeMarks(history(0.03, 0.005, 1), { ...standpoint, day: null })).toEqual([])
  })
  it('are a stretch that was faster than the marks say, and the fastest of them', () => {
    const speed = intensityOver(abilityOf(standpoint, 'run')!, 3000)
    const best = (faster: number) => ({ metres: 3000, seconds: 3000 / (speed * faster), value: speed * faster, startsAt: 0 })
    const [plain] = history(0, 0, 1, 1)
    const of = (...faster: number[]) =>
      proposeMarks(
        faster.map((share, index) => ({ ...plain!, id: `s${index}`, learnt: { bests: [best(share)], evidence: null } })),
        standpoint,
      )
    expect(of(1.01)).toEqual([])
    expect(of(1.03, 1.05, 1.04)[0]).toMatchObject({ because: 'stretch', rests: [{ id: 's1' }], effort: { metres: 3000 } })
  })
})

describe('what one recording tells for good', () => {
  const script = 'sport run\n\nwarm-up\n5 times\n  3:00 @ 5k effort\n  recovery 2:00\ncool-down 10:00\n'
  const { program } = fit(readScript(script, standpoint).sessions[0]!, profileNamed('all-sport')!, standpoint)
  const recording = rehearse(program, ilse, {
    seed: 2,
    startedAt: `${today}T06:00:00.000Z`,
    presses: [{ at: 700, press: 'next' }],
  } as never)
  const judged = score(program, recording, ilse)
  it('is its rows, how they lay to their bands, and how long open steps took', () => {
    const learnt = learnFrom(recording, program, judged)
    expect(learnt.rows).toMatchObject([{ path: '2.1', of: 'speed', rounds: 5 }])
    expect(learnt.evidence).toMatchObject({ steps: 5 })
    expect(Math.abs(learnt.evidence!.ratio)).toBeLessThan(0.01)
    expect(learnt.open).toMatchObject([{ role: 'warm-up' }])
    const unsure = learnFrom(recording, program, { ...judged, confidence: 0.3 })
    expect([unsure.rows, unsure.evidence, unsure.open]).toEqual([[], null, []])
    expect(unsure.bests).toEqual(learnt.bests)
  })
  it('makes a habit once three of them tell it', () => {
    const once = { open: [{ role: 'warm-up' as const, seconds: 700 }], recoveries: [30, 35, 40] }
    expect(habitsOf([once, once])).toEqual({ open: [], recovery: null })
    expect(habitsOf([once, once, { open: [{ role: 'warm-up', seconds: 900 }], recoveries: [] }, once])).toEqual({
      open: [{ role: 'warm-up', seconds: 700, recordings: 4 }],
      recovery: { beats: 35, recordings: 3 },
    })
  })
})
