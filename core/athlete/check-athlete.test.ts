import { describe, expect, it } from 'vitest'
import { validateAthlete, validateKeptAthlete } from '../formats/validate'
import type { Athlete } from './athlete'
import { unknownAthlete } from './athlete'
import { athleteProblem } from './check-athlete'
import { heartFor, wholeHeart } from './heart'
import { standpointOf } from './standpoint'

const problemOf = (change: Partial<Athlete>) => athleteProblem({ ...unknownAthlete, ...change })

describe('an athlete whose numbers contradict each other', () => {
  it.each<[what: string, change: Partial<Athlete>, pointer: string]>([
    ['rest above maximum', { heart: { rest: 190, max: 180 } }, '/heart/rest'],
    ['threshold at maximum', { heart: { threshold: 180, max: 180 } }, '/heart/threshold'],
    ['first threshold above the second', { heart: { aerobicThreshold: 170, threshold: 165, max: 190 } }, '/heart/aerobicThreshold'],
    ['a maximum of one sport below rest', { heart: { rest: 60, max: 180, bySport: { swim: { max: 50 } } } }, '/heart/bySport/swim/rest'],
    ['a race that nobody has run', { efforts: [{ sport: 'run', metres: 10_000, seconds: 1200, date: '2026-03-01' }] }, '/efforts/0'],
  ])('is refused: %s', (_, change, pointer) => {
    expect(problemOf(change)).toMatchObject({ pointer })
    expect(validateAthlete({ ...unknownAthlete, ...change })).toMatchObject({ ok: false, problems: [{ pointer }] })
    expect(validateKeptAthlete({ ...unknownAthlete, ...change })).toMatchObject({ ok: true })
  })
  it('is good in their order', () => {
    expect(problemOf({ heart: { rest: 50, aerobicThreshold: 145, threshold: 165, max: 182, bySport: { ride: { max: 176 } } } })).toBeNull()
    expect(problemOf({})).toBeNull()
  })
})

describe('the heart that counts', () => {
  const at = (change: Partial<Athlete>, day: string | null = '2026-03-31') => standpointOf({ ...unknownAthlete, ...change }, day)
  it('has the maximum of its age where none is set, and says so', () => {
    const born = { birthDate: '1984-11-02', heart: { rest: 50 } }
    expect(heartFor(at(born), 'run')).toEqual({ rest: 50, max: 179, isMaximumEstimated: true })
    expect(wholeHeart(at(born), 'run')).toMatchObject({ rest: 50, max: 179 })
    expect(heartFor(at({ ...born, heart: { rest: 50, max: 190 } }), 'run')).toEqual({ rest: 50, max: 190 })
  })
  it('has none that contradicts what is known, nor without a day', () => {
    expect(heartFor(at({ birthDate: '1984-11-02', heart: { threshold: 181 } }), 'run')).toEqual({ threshold: 181 })
    expect(wholeHeart(at({ birthDate: '1984-11-02', heart: { rest: 50 } }, null), 'run')).toBeNull()
  })
})
