import { randomFrom } from '../../core/quantity/random'
import type { Mark } from '../../core/wrist/engine/marks'
import type { Button, EngineState, Cue } from '../../core/wrist/engine/engine'
import { advance, initialState } from '../../core/wrist/engine/engine'
import type { Program } from '../../core/wrist/program/program'

export interface Carried {
  marks: Mark[]
  cues: Cue[]
  state: EngineState
}

/** Runs the engine with a body of even speed whose hands follow the seed: presses, skips, pauses at any moment. */
export function carryOut(program: Program, seed: number, hands: { press: number; skip: number; pause: number }, speed = 3): Carried {
  const random = randomFrom(seed)
  let { state, marks, cues } = advance(program, initialState, { kind: 'start', t: 0 })
  const all = { marks: [...marks], cues: [...cues] }
  const push = (kind: Button, t: number) => {
    const outcome = advance(program, state, { kind, t })
    state = outcome.state
    all.marks.push(...outcome.marks)
    all.cues.push(...outcome.cues)
  }
  let metres = 0
  let t = 0
  for (let count = 0; count < 20_000 && state.phase !== 'finished'; count++) {
    const seconds = 0.5 + random.next() * 2
    if (random.next() < hands.press) push('press', t + seconds * random.next())
    if (state.phase === 'running' && random.next() < hands.skip) push('skip', Math.max(state.t, t + seconds * random.next()))
    if (state.phase === 'paused' ? random.next() < 0.3 : random.next() < hands.pause)
      push(state.phase === 'paused' ? 'resume' : 'pause', Math.max(state.t, t))
    if ((state.phase as string) === 'finished') break
    t = Math.max(state.t, t + seconds)
    metres += seconds * speed * (0.8 + 0.4 * random.next())
    ;({ state, marks, cues } = advance(program, state, {
      kind: 'reading',
      t,
      metres,
      heartRate: 120 + 40 * random.next(),
      power: 200,
      cadence: 170,
    }))
    all.marks.push(...marks)
    all.cues.push(...cues)
  }
  return { ...all, state }
}

export const stepNames = (marks: readonly Mark[]) =>
  marks.filter(mark => mark.kind === 'step').map(mark => `${mark.path}@${mark.round!.join('.')}`)
