import { describe, expect, it } from 'vitest'
import { ilse } from '../../demo/athlete'
import { demoScripts } from '../../demo/sessions'
import { rehearse } from '../../standin/body/rehearse'
import { seenBy } from '../../tests/support/standpoint'
import { randomFrom } from '../quantity/random'
import { readScript } from '../script/reader/read-script'
import type { Sport } from '../session/document'
import { fit } from '../wrist/fit/fit'
import { profileNamed } from '../wrist/program/profile'
import type { Program } from '../wrist/program/program'
import { alignByMarks } from './align'
import { alignUnmarked } from './align-unmarked'
import type { Recording } from './recording'
import { score } from './score'

const standpoint = seenBy(ilse)
const watch = profileNamed('all-sport')!
const programOf = (script: string): Program => fit(readScript(script, standpoint).sessions[0]!, watch, standpoint).program
const programs = demoScripts.map(programOf)
/** Rehearsals of each sport; `REHEARSALS` asks for more. */
const rehearsals = Number(process.env.UNMARKED ?? 40)
const startedAt = '2026-11-01T08:00:00.000Z'

/** As another device has it: no marks but laps, positions that wander, a heart that is heard a little off. */
function unmarked(recording: Recording, seed: number, laps: readonly number[] = []): Recording {
  const random = randomFrom(seed)
  const { t, metres, heartRate, power } = recording.samples
  let reached = 0
  let off = 0
  const noisy = metres.map(value => {
    if (value === null) return null
    off = 0.9 * off + 0.5 * random.normal()
    reached = Math.max(reached, Math.round((value + off) * 10) / 10)
    return reached
  })
  const nudged = (column: (number | null)[] | undefined, sd: number) =>
    column?.map(value => (value === null ? null : Math.max(0, Math.round(value + sd * random.normal()))))
  const { program: _, ...rest } = recording
  return {
    ...rest,
    samples: {
      t,
      metres: recording.sport === 'swim' ? metres : noisy,
      ...(heartRate ? { heartRate: nudged(heartRate, 2)! } : {}),
      ...(power ? { power: nudged(power, 6)! } : {}),
    },
    marks: laps.map(second => ({ t: second, kind: 'lap' as const })),
  }
}
const keyOf = ({ path, round }: { path: string; round: number[] }) => `${path}@${round.join('.')}`

/** How many of the steps that were done are found within some seconds, and the confidence with which others are said. */
function compare(program: Program, recording: Recording, seed: number, within = 5) {
  const truth = alignByMarks(recording).filter(({ from, to }) => to - from > 3)
  const found = alignUnmarked(program, unmarked(recording, seed))!
  const at = new Map(found.steps.map(step => [keyOf(step), step]))
  const isThere = (step: (typeof truth)[number]) => {
    const other = at.get(keyOf(step))
    return other !== undefined && Math.max(Math.abs(other.from - step.from), Math.abs(other.to - step.to)) <= within
  }
  const done = new Set(truth.map(keyOf))
  const invented = found.steps.filter(step => step.path !== '' && !done.has(keyOf(step))).length
  return { all: truth.length, there: truth.filter(isThere).length, invented, confidence: found.confidence }
}

describe('a recording without marks', () => {
  it.each(['run', 'ride', 'swim'] as Sport[])('of a %s is cut into its steps by its shape', sport => {
    const own = programs.filter(program => program.sport === sport)
    let [all, there] = [0, 0]
    for (let seed = 1; seed <= rehearsals; seed++) {
      const program = own[seed % own.length]!
      const result = compare(program, rehearse(program, ilse, { seed, startedAt }), seed)
      all += result.all
      there += result.there
      expect(result.confidence > 0.8 && result.invented > 0, `seed ${seed}: ${JSON.stringify(result)}`).toBe(false)
    }
    expect(there / all, `${there} of ${all}`).toBeGreaterThanOrEqual(0.95)
  })

  it('that is cut short ends where it ended, and claims no step that was not begun', () => {
    const program = programOf('sport run\n\nwarm-up 10:00\n6 times\n  3:00 @ 5k effort\n  recovery 2:00\ncool-down 10:00\n')
    const whole = rehearse(program, ilse, { seed: 3, startedAt, presses: [{ t: 1500, button: 'stop' }] })
    const told = score(program, unmarked(whole, 3), ilse)
    expect(told.basis).toBe('shape')
    expect(told.steps.filter(({ status }) => status === 'done').length).toBe(alignByMarks(whole).length - 1)
  })

  it('with a repeat left out and one too many says so', () => {
    const asked = programOf('sport run\n\nwarm-up 10:00\n6 times\n  3:00 @ 5k effort\n  recovery 2:00\ncool-down 10:00\n')
    const done = (times: number) =>
      rehearse(programOf(`sport run\n\nwarm-up 10:00\n${times} times\n  3:00 @ 5k effort\n  recovery 2:00\ncool-down 10:00\n`), ilse, {
        seed: 5,
        startedAt,
      })
    const workOf = (times: number) => {
      const told = score(asked, unmarked(done(times), 5), ilse)
      const count = (status: string) => told.steps.filter(step => step.status === status).length
      return {
        done: told.steps.filter(({ path, status }) => path === '2.1' && status === 'done').length,
        extra: count('extra'),
        basis: told.basis,
      }
    }
    expect(workOf(5)).toMatchObject({ done: 5, basis: 'shape' })
    expect(workOf(7).done).toBe(6)
    expect(workOf(7).extra).toBeGreaterThan(0)
  })

  it('is cut at its laps where they were pressed at the steps, and not by laps of every kilometre', () => {
    const program = programOf('sport run\n\nwarm-up 10:00\n5 times\n  3:00 @ 5k effort\n  recovery 2:00\ncool-down 10:00\n')
    const recording = rehearse(program, ilse, { seed: 7, startedAt })
    const boundaries = alignByMarks(recording)
      .slice(1)
      .map(({ from }) => from)
    const byLaps = score(program, unmarked(recording, 7, boundaries), ilse)
    expect([byLaps.basis, byLaps.totals.done, byLaps.confidence > 0.9]).toEqual(['laps', 12, true])
    const kilometres = Array.from({ length: 8 }, (_, index) => 317 * (index + 1))
    expect(score(program, unmarked(recording, 7, kilometres), ilse).basis).toBe('shape')
  })

  it('of something else is not said to be this one for sure', () => {
    let sure = 0
    for (const [index, program] of programs.entries()) {
      const other = programs[(index + 5) % programs.length]!
      if (other.sport !== program.sport) continue
      const told = score(other, unmarked(rehearse(program, ilse, { seed: index + 1, startedAt }), index), ilse)
      if (told.confidence > 0.8) sure++
    }
    expect(sure).toBe(0)
  })

  it('says nothing of a plan it has no signal for', () => {
    const program = programOf('sport run\n\n10:00 @ easy\n')
    const empty: Recording = {
      format: 'agonis.recording',
      version: 1,
      sport: 'run',
      startedAt,
      samples: { t: [1, 600], metres: [null, null] },
      marks: [],
    }
    expect(score(program, empty, ilse)).toMatchObject({ basis: 'none', confidence: 0, totals: { done: 0 } })
  })
})
