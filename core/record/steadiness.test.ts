import { describe, expect, it } from 'vitest'
import type { Athlete } from '../athlete/athlete'
import { normalsFrom } from '../quantity/normal'
import { readScript } from '../script/reader/read-script'
import { fit } from '../wrist/fit/fit'
import { profileNamed } from '../wrist/program/profile'
import type { Recording } from './recording'
import { score } from './score'
import { learnSteadiness } from './steadiness'
import { nobody } from '../athlete/standpoint'
import { seenBy } from '../../tests/support/standpoint'

const athlete: Athlete = {
  format: 'agonis.athlete',
  version: 1,
  name: 'Ilse Brandvik',
  ride: { criticalPower: 215 },
  schools: { band: { kind: 'even' } },
}
const { program } = fit(
  readScript('sport ride\n\n2 times\n  20:00 @ 190-210 W\n  recovery 1:00\n', nobody).sessions[0]!,
  profileNamed('all-sport')!,
  seenBy(athlete),
)

/** A recording whose power wanders as planted. */
function planted(sd: number, tau: number, isSilent: (t: number) => boolean = () => false): Recording {
  const normal = normalsFrom(9)
  const phi = Math.exp(-1 / tau)
  let noise = sd * normal()
  const t = Array.from({ length: 2521 }, (_, index) => index)
  const power = t.map(second => {
    noise = noise * phi + sd * Math.sqrt(1 - phi * phi) * normal()
    return isSilent(second) ? null : 200 * (1 + noise)
  })
  const starts = [0, 1200, 1260, 2460]
  return {
    format: 'agonis.recording',
    version: 1,
    sport: 'ride',
    startedAt: '2026-03-31T06:00:00.000Z',
    samples: { t, metres: t.map(second => second * 8), power },
    marks: [
      ...starts.map((at, index) => ({ t: at, kind: 'step' as const, path: index % 2 === 0 ? '1.1' : '1.2', round: [index < 2 ? 1 : 2] })),
      { t: 2520, kind: 'stop' as const },
    ],
  }
}
const learnt = (recording: Recording) => learnSteadiness([{ recording, program, score: score(program, recording, nobody.athlete) }])

describe('steadiness learnt from recordings', () => {
  it.each([
    [0.07, 3],
    [0.03, 8],
  ])('recovers a planted spread of %d and correlation time of %d s', (sd, tau) => {
    const [found] = learnt(planted(sd, tau))
    expect(found).toMatchObject({ sport: 'ride', measure: 'power', steps: 2 })
    expect(Math.abs(found!.sd / sd - 1)).toBeLessThan(0.1)
    expect(Math.abs(found!.tau / tau - 1)).toBeLessThan(0.25)
  })
  it('is not misled by metres rounded to the tenth', () => {
    const swim: Athlete = { ...athlete, swim: { criticalSpeed: 0.9 } }
    const swum = fit(
      readScript('sport swim\n\n30:00 @ 1:45-1:55 /100m\n', nobody).sessions[0]!,
      profileNamed('all-sport')!,
      seenBy(swim),
    ).program
    const normal = normalsFrom(4)
    const phi = Math.exp(-1 / 6)
    let [noise, metres] = [0.03 * normal(), 0]
    const t = Array.from({ length: 1801 }, (_, index) => index)
    const column = t.map(() => {
      noise = noise * phi + 0.03 * Math.sqrt(1 - phi * phi) * normal()
      metres += 0.91 * (1 + noise)
      return Math.round(metres * 10) / 10
    })
    const recording: Recording = {
      format: 'agonis.recording',
      version: 1,
      sport: 'swim',
      startedAt: '2026-03-31T06:00:00.000Z',
      samples: { t, metres: column },
      marks: [
        { t: 0, kind: 'step', path: '1', round: [] },
        { t: 1800, kind: 'stop' },
      ],
    }
    const [found] = learnSteadiness([{ recording, program: swum, score: score(swum, recording, nobody.athlete) }])
    expect(Math.abs(found!.sd / 0.03 - 1)).toBeLessThan(0.4)
    expect(found!.tau).toBeGreaterThan(2)
  })
  it('passes over gaps, and says nothing from too little', () => {
    expect(learnt(planted(0.07, 3, t => t % 100 < 10))[0]!.sd).toBeCloseTo(0.07, 1)
    expect(learnt(planted(0.07, 3, t => t > 300))).toEqual([])
    expect(learnSteadiness([])).toEqual([])
  })
})
