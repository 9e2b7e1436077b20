import { describe, expect, it } from 'vitest'
import { ilse } from '../../demo/athlete'
import { rehearse } from '../../standin/body/rehearse'
import { seenBy } from '../../tests/support/standpoint'
import { printSession } from '../script/print'
import { readScript } from '../script/reader/read-script'
import { checkSession } from '../session/check'
import { fit } from '../wrist/fit/fit'
import { profileNamed } from '../wrist/program/profile'
import { sessionAsDone } from './as-done'
import { findIntervals } from './find-intervals'
import { sessionOfFound } from './found-session'
import { score } from './score'

const standpoint = seenBy(ilse)
function carriedOut(script: string, seed = 5) {
  const session = readScript(script, standpoint).sessions[0]!
  const { program } = fit(session, profileNamed('all-sport')!, standpoint)
  const recording = rehearse(program, ilse, { seed, startedAt: '2026-03-31T06:00:00.000Z' })
  return { session, program, recording, score: score(program, recording, ilse) }
}
const fives = 'title Fives\nsport run\n\nwarm-up 10:00\n5 times\n  3:00 @ 5k effort\n  recovery 2:00\ncool-down 10:00\n'

describe('a session as it was done', () => {
  it('has the rounds that were done and the paces that were held, and is a session', () => {
    const { session, score: judged } = carriedOut(fives)
    const steps = judged.steps.filter(step => !(step.round[0]! > 3))
    const done = sessionAsDone(session, { ...judged, steps })!
    const script = printSession(done)
    expect(script).toContain('3 times')
    const mean = steps.filter(({ path }) => path === '2.1').reduce((sum, { mean }) => sum + mean.speed! / 3, 0)
    const pace = Math.round(1000 / mean)
    expect(script).toContain(`3:00 @ ${Math.floor(pace / 60)}:${String(pace % 60).padStart(2, '0')} /km`)
    expect(checkSession(done)).toEqual([])
    expect(readScript(script, standpoint).sessions[0]).toEqual(done)
  })
  it('leaves out what was not done, and is none where nobody knows', () => {
    const { session, score: judged } = carriedOut(fives)
    const steps = judged.steps.filter(({ path }) => path !== '3')
    expect(printSession(sessionAsDone(session, { ...judged, steps })!)).not.toContain('cool-down')
    expect(sessionAsDone(session, { ...judged, basis: 'none' })).toBeNull()
    expect(sessionAsDone(session, { ...judged, steps: [] })).toBeNull()
  })
})

describe('repeats in a recording without a plan', () => {
  const unled = (script: string, seed: number) => {
    const { recording } = carriedOut(script, seed)
    return { ...recording, marks: [], program: undefined }
  }
  it.each([
    [fives, { count: 5, metres: null, seconds: 180 }],
    ['sport run\n\nwarm-up 12:00\n7 times\n  500 m @ 3k effort\n  recovery 1:30\ncool-down 8:00\n', { count: 7, metres: 500 }],
    ['sport run\n\nwarm-up 10:00\n10 times\n  400 m @ 3k effort\n  recovery 1:00\n', { count: 10, metres: 400 }],
    ['sport ride\n\nwarm-up 15:00\n4 times\n  8:00 @ threshold effort\n  recovery 4:00\ncool-down 10:00\n', { count: 4, seconds: 480 }],
  ])('are found as they were planted: %#', (script, planted) => {
    for (const seed of [1, 2, 3]) {
      const found = findIntervals(unled(script, seed))!
      expect(found).not.toBeNull()
      expect(found.count).toBe(planted.count)
      if ('metres' in planted && planted.metres !== null) expect(found.metres).toBe(planted.metres)
      if ('seconds' in planted) expect(Math.abs(found.seconds - planted.seconds)).toBeLessThanOrEqual(10)
      const kept = sessionOfFound(found, script.includes('ride') ? 'ride' : 'run')
      expect(checkSession(kept)).toEqual([])
      expect(readScript(printSession(kept), standpoint).sessions[0]).toEqual(kept)
    }
  })
  it.each([
    'sport run\n\n60:00 @ easy effort\n',
    'sport run\n\n20:00 @ easy effort\n20:00 @ threshold effort\n10:00 @ easy effort\n',
    'sport ride\n\n90:00 @ easy effort\n',
  ])('are none where there were none: %#', script => {
    for (const seed of [1, 2, 3]) expect(findIntervals(unled(script, seed))).toBeNull()
  })
})
