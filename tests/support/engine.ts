import { expect } from 'vitest'
import type { Athlete } from '../../core/athlete/athlete'
import { nobody } from '../../core/athlete/standpoint'
import { readScript } from '../../core/script/reader/read-script'
import { walk } from '../../core/session/walk'
import type { EngineState } from '../../core/wrist/engine/engine'
import { advance, initialState } from '../../core/wrist/engine/engine'
import { fit } from '../../core/wrist/fit/fit'
import { profileNamed } from '../../core/wrist/program/profile'
import type { Program } from '../../core/wrist/program/program'
import { seenBy } from './standpoint'

export const athlete: Athlete = {
  format: 'agonis.athlete',
  version: 1,
  name: 'Ilse Brandvik',
  run: { criticalSpeed: 3.75, criticalPower: 248 },
  ride: { criticalPower: 215 },
}
export const sessionOf = (text: string) => readScript(text, nobody).sessions[0]!
export const programOf = (text: string, watch = 'all-sport'): Program => {
  const fitting = fit(sessionOf(text), profileNamed(watch)!, seenBy(athlete))
  expect(fitting.losses.filter(loss => loss.instead === null)).toEqual([])
  return fitting.program
}
export const flatNames = (text: string) => [...walk(sessionOf(text))].map(flat => `${flat.path}@${flat.round.join('.')}`)

/** One reading a second at even speed, from t on. */
export function read(program: Program, state: EngineState, seconds: number, speed = 4, heartRate: number | null = 140) {
  const marks = []
  const cues = []
  for (let second = 0; second < seconds; second++) {
    const t = state.t + 1
    const outcome = advance(program, state, {
      kind: 'reading',
      t,
      metres: (state.sensorMetres ?? 0) + speed,
      heartRate,
      power: null,
      cadence: null,
    })
    state = outcome.state
    marks.push(...outcome.marks)
    cues.push(...outcome.cues)
  }
  return { state, marks, cues }
}
export const start = (program: Program) => advance(program, initialState, { kind: 'start', t: 0 }).state
