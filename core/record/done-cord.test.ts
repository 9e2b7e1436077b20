import { describe, expect, it } from 'vitest'
import { ilse } from '../../demo/athlete'
import { rehearse } from '../../standin/body/rehearse'
import { seenBy } from '../../tests/support/standpoint'
import { readScript } from '../script/reader/read-script'
import { fit } from '../wrist/fit/fit'
import { profileNamed } from '../wrist/program/profile'
import { doneCord } from './done-cord'
import { score } from './score'

const startedAt = '2026-03-31T06:00:00.000Z'
const done = (text: string, presses: Parameters<typeof rehearse>[2]['presses'] = []) => {
  const { program } = fit(readScript(text, seenBy(ilse)).sessions[0]!, profileNamed('all-sport')!, seenBy(ilse))
  const recording = rehearse(program, ilse, { seed: 4, startedAt, presses })
  return { program, scored: score(program, recording, ilse) }
}

describe('what was done as a cord', () => {
  const text = 'sport run\n\nwarm-up 5:00\n3 times, drop last recovery\n  2:00 @ 4:20-4:40 /km\n  recovery 1:00\ncool-down 5:00'
  it('has the steps that were carried out, as long as they took, with what was held', () => {
    const { program, scored } = done(text)
    const cord = doneCord(program, scored, seenBy(ilse))!
    expect(cord.parts.map(({ kind }) => kind)).toEqual(['line', 'knot', 'bare', 'knot', 'bare', 'knot', 'line'])
    expect(cord.parts[1]).toMatchObject({ seconds: 120, held: scored.steps[1]!.held })
    expect(cord.brackets).toEqual([{ from: 1, to: 5, words: '3', depth: 0 }])
  })
  it('ends where it was ended, and counts the rounds that were done', () => {
    const { program, scored } = done(text, [{ t: 500, button: 'stop' }])
    const cord = doneCord(program, scored, seenBy(ilse))!
    expect(cord.parts.map(({ kind }) => kind)).toEqual(['line', 'knot', 'bare', 'knot'])
    expect(cord.brackets[0]!.words).toBe('2')
  })
  it('is none where nothing tells the steps', () => {
    const { program, scored } = done(text)
    expect(doneCord(program, { ...scored, basis: 'none', steps: [] }, seenBy(ilse))).toBeNull()
  })
})
