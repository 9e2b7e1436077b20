import { describe, expect, it } from 'vitest'
import { ilse } from '../../demo/athlete'
import { validateRecording } from '../../core/formats/validate'
import { randomFrom } from '../../core/quantity/random'
import { checkRecording } from '../../core/record/recording'
import { score } from '../../core/record/score'
import { readScript } from '../../core/script/reader/read-script'
import { walk } from '../../core/session/walk'
import { digestOf } from '../../core/wrist/program/digest'
import { fit } from '../../core/wrist/fit/fit'
import { profileNamed } from '../../core/wrist/program/profile'
import { rehearse } from './rehearse'
import { nobody } from '../../core/athlete/standpoint'
import { seenBy } from '../../tests/support/standpoint'

const sessionOf = (text: string) => readScript(text, nobody).sessions[0]!
const programOf = (text: string) => fit(sessionOf(text), profileNamed('all-sport')!, seenBy(ilse)).program
const startedAt = '2026-03-31T06:00:00.000Z'

describe('rehearsing', () => {
  const nested =
    'sport run\n\nwarm-up until press\n2 times, drop last recovery\n  3 times\n    0:40 @ 4:00-4:20 /km\n ' +
    '   recovery 0:20\n  rest 0:30\ncool-down until press\n'
  const expected = [...walk(sessionOf(nested))].map(flat => `${flat.path}@${flat.round.join('.')}`)

  it('executes each flat step once and in order for 500 seeds of presses, skips and pauses, and the marks say so', () => {
    const program = programOf(nested)
    for (let seed = 1; seed <= 500; seed++) {
      const random = randomFrom(seed)
      const presses = Array.from({ length: 12 }, () => ({
        t: random.next() * 1500,
        button: (['press', 'skip', 'pause', 'resume'] as const)[Math.floor(random.next() * 4)]!,
      }))
      presses.push({ t: 1501, button: 'resume' })
      const recording = rehearse(
        program,
        { ...ilse, usual: { warmUpSeconds: 60, coolDownSeconds: 60, otherOpenSeconds: 60 } },
        { seed, startedAt, presses },
      )
      const names = recording.marks.filter(mark => mark.kind === 'step').map(mark => `${mark.path}@${mark.round!.join('.')}`)
      expect(names, `seed ${seed}`).toEqual(expected)
      expect(checkRecording(recording), `seed ${seed}`).toBeNull()
      expect(recording.marks.at(-1)!.kind, `seed ${seed}`).toBe('stop')
    }
  }, 120_000)

  it('is sound and says which program it came from', () => {
    const program = programOf(nested)
    const recording = rehearse(program, ilse, { seed: 1, startedAt })
    expect(validateRecording(recording).ok).toBe(true)
    expect(recording.program).toBe(digestOf(program))
    expect(score(program, recording, nobody.athlete).confidence).toBe(1)
  })

  it('shows a body that goes too hard, and a strap that falls silent', () => {
    const program = programOf('sport run\n\n4 times\n  2:00 @ 4:40-4:50 /km\n  recovery 1:00')
    const hard = score(program, rehearse(program, ilse, { seed: 1, startedAt, behaviour: { bias: 0.08 } }), nobody.athlete)
    expect(hard.steps.filter(step => step.path === '1.1').map(step => step.reason)).toEqual([
      'too-hard',
      'too-hard',
      'too-hard',
      'too-hard',
    ])
    const silent = rehearse(program, ilse, { seed: 1, startedAt, behaviour: { silentHeart: { from: 100, to: 200 } } })
    expect(silent.samples.heartRate!.slice(99, 199).every(value => value === null)).toBe(true)
    expect(silent.samples.heartRate![210]).not.toBeNull()
  })

  it('does only the last three of six when it is entered or jumps there, and says what was left out', () => {
    const program = programOf('sport run\n\n2:00\n6 times\n  1:00 @ 4:20-4:40 /km\n  recovery 0:30\n')
    const begun = rehearse(program, ilse, { seed: 1, startedAt, from: { path: '2', round: [4] } })
    expect(begun.marks.filter(mark => mark.kind === 'step' && mark.path === '2.1').map(mark => mark.round![0])).toEqual([4, 5, 6])
    const jumped = rehearse(program, ilse, { seed: 1, startedAt, presses: [{ t: 130, button: 'jump', path: '2.1', round: [4] }] })
    expect(jumped.marks.find(mark => mark.kind === 'jump')).toEqual({ t: 130, kind: 'jump', path: '2.1', round: [4] })
    const statuses = score(program, jumped, nobody.athlete)
      .steps.filter(step => step.path === '2.1')
      .sort((a, b) => a.round[0]! - b.round[0]!)
      .map(step => step.status)
    expect(statuses).toEqual(['cut-short', 'skipped', 'skipped', 'done', 'done', 'done'])
  })

  it('presses twice by mistake, and what that does is in the marks', () => {
    const program = programOf('sport run\n\nuntil press\n1:00\nuntil press')
    const quick = { ...ilse, usual: { warmUpSeconds: 60, coolDownSeconds: 60, otherOpenSeconds: 60 } }
    const presses = (behaviour: object) =>
      rehearse(program, quick, { seed: 4, startedAt, behaviour }).marks.filter(mark => mark.kind === 'press')
    expect(presses({})).toHaveLength(2)
    expect(presses({ pressesTwice: 1 })).toHaveLength(2)
    const both = rehearse(programOf('sport run\n\nuntil press\nuntil press'), quick, { seed: 4, startedAt, behaviour: { pressesTwice: 1 } })
    expect(both.marks.filter(mark => mark.kind === 'press').map(mark => mark.path)).toEqual(['1', '2'])
  })
})
