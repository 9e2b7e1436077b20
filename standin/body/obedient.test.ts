import { describe, expect, it } from 'vitest'
import type { Recording } from '../../core/record/recording'
import { score } from '../../core/record/score'
import { readScript } from '../../core/script/reader/read-script'
import type { EngineState } from '../../core/wrist/engine/engine'
import { advance, initialState } from '../../core/wrist/engine/engine'
import { fit } from '../../core/wrist/fit/fit'
import type { Program } from '../../core/wrist/program/program'
import { profileNamed } from '../../core/wrist/program/profile'
import { ilse } from '../../demo/athlete'
import { demoScripts } from '../../demo/sessions'
import { seenBy } from '../../tests/support/standpoint'
import { rehearse } from './rehearse'

const startedAt = '2026-03-31T06:00:00.000Z'
const programOf = (text: string): Program =>
  fit(readScript(text, seenBy(ilse)).sessions[0]!, profileNamed('all-sport')!, seenBy(ilse)).program

const sessions: [what: string, text: string][] = [
  ['a run by pace', 'sport run\n\n4 times, stop after 2 missed\n  4:00 @ 10k effort\n  recovery 2:00 jog'],
  ['a run on the track', 'sport run\nplace track\n\n6 times, stop after 2 missed\n  800 m @ 5k effort\n  recovery 2:00'],
  ['an easy hour by heart rate', 'sport run\n\n1:00:00 @ 125-135 bpm'],
  ['repeats by heart rate', 'sport run\n\n3 times, stop after 2 missed\n  8:00 @ 150-160 bpm\n  recovery 3:00'],
  ['a ride by power', 'sport ride\n\n3 times, stop after 2 missed\n  10:00 @ 90-95 %CP\n  recovery 5:00 @ 50-60 %CP'],
  ['a ride on the trainer', 'sport ride\nplace trainer\n\n6 times, stop after 2 missed\n  2:00 @ 105-110 %CP\n  recovery 2:00'],
  ['a swim by the clock', 'sport swim\nplace pool 25 m\n\n8 times, stop after 2 missed\n  100 m on 2:20 @ critical effort'],
  ['a swim with rests', 'sport swim\nplace pool 50 m\n\n6 times, stop after 2 missed\n  200 m @ 2:00-2:05 /100m\n  rest 0:20'],
  ['a swim in open water', 'sport swim\nplace open-water\n\n4 times, stop after 2 missed\n  400 m @ 2:00-2:10 /100m\n  rest 0:30'],
]
const seeds = Number(process.env.BODIES ?? 10)

describe('a body that does what it is told', () => {
  it.each(sessions)(
    'is held by the mean, and never sent home: %s',
    (_, text) => {
      const program = programOf(text)
      for (let seed = 1; seed <= seeds; seed++) {
        const { steps, endedAt, totals } = score(program, rehearse(program, ilse, { seed, startedAt }), ilse)
        expect(endedAt, `seed ${seed}`).toBeUndefined()
        expect(totals.done, `seed ${seed}`).toBe(totals.planned)
        expect(
          steps
            .filter(step => step.reason !== undefined)
            .map(({ path, round, reason, mean, held }) => ({ path, round, reason, mean, held })),
          `seed ${seed}`,
        ).toEqual([])
      }
    },
    600_000,
  )

  it.each(demoScripts)(
    'holds every session of the demo by the mean: %s',
    text => {
      const program = programOf(text)
      for (let seed = 1; seed <= Math.max(1, Math.round(seeds / 5)); seed++) {
        const { steps } = score(program, rehearse(program, ilse, { seed, startedAt }), ilse)
        const off = steps.filter(({ reason }) => reason === 'too-hard' || reason === 'too-easy')
        expect(
          off.map(({ path, round, reason, mean }) => ({ path, round, reason, mean })),
          `seed ${seed}`,
        ).toEqual([])
      }
    },
    600_000,
  )

  it.each(sessions)('is judged live as it is afterwards: %s', (_, text) => {
    const program = programOf(text)
    const recording = rehearse(program, ilse, { seed: 7, startedAt })
    const live = heldLive(program, recording)
    const { steps } = score(program, recording, ilse)
    expect(live.length).toBeGreaterThanOrEqual(steps.length - 1)
    for (const [index, held] of live.entries()) {
      const { held: afterwards } = steps[index]!
      if (held === null) expect(afterwards).toBeNull()
      else expect(afterwards).toBeCloseTo(held, 2)
    }
  })
})

/** What the engine says was held of each step, as the recording comes in. */
function heldLive(program: Program, { samples }: Recording): (number | null)[] {
  const held: (number | null)[] = []
  let state: EngineState = advance(program, initialState, { kind: 'start', t: 0 }).state
  for (const [index, t] of samples.t.entries()) {
    const at = (column: (number | null)[] | undefined) => column?.[index] ?? null
    const { metres, heartRate, power, cadence } = samples
    const reading = { t, metres: at(metres), heartRate: at(heartRate), power: at(power), cadence: at(cadence) }
    const before = state.ended
    state = advance(program, state, { kind: 'reading', ...reading }).state
    if (state.ended && state.ended !== before) held.push(state.ended.held)
  }
  return held
}
