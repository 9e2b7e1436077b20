import { describe, expect, it } from 'vitest'
import type { Cue } from './engine'
import { advance, initialState } from './engine'
import { faceOf } from './face'
import { runWalk, settingsOf } from './settings'
import { athlete, programOf, read, start } from '../../../tests/support/engine'

describe('what the wearer is told', () => {
  const kindsOf = (cues: Cue[], kind: Cue['kind']) => cues.filter(cue => cue.kind === kind)

  it('says when a sensor that is needed falls silent, and when it is back', () => {
    const program = programOf('sport run\n\n3:00 @ 140-150 bpm')
    const before = read(program, start(program), 20, 4, 145)
    const silent = read(program, before.state, 30, 4, null)
    expect(kindsOf(silent.cues, 'signal')).toEqual([{ kind: 'signal', t: 31, of: 'heart-rate', isBack: false }])
    expect(kindsOf(read(program, silent.state, 5, 4, 145).cues, 'signal')).toEqual([
      { kind: 'signal', t: 51, of: 'heart-rate', isBack: true },
    ])
    const unneeded = programOf('sport run\n\n3:00')
    expect(kindsOf(read(unneeded, start(unneeded), 60, 4, null).cues, 'signal')).toEqual([])
  })

  it('does not nudge at once for what was before a silence', () => {
    const program = programOf('sport run\n\n5:00 @ 4:00-4:20 /km')
    let { state } = read(program, start(program), 14, 3.5)
    for (let count = 0; count < 20; count++)
      state = advance(program, state, { kind: 'reading', t: state.t + 1, metres: null, heartRate: 140, power: null, cadence: null }).state
    expect(state.step!.outSince).toBeNull()
  })

  it('keeps calling a ceiling over a change of step', () => {
    const program = programOf('sport run\nceiling 150 bpm\n\n10 times\n  0:04')
    expect(kindsOf(read(program, start(program), 30, 3, 160).cues, 'ceiling').map(cue => cue.t)).toEqual([6, 16, 26])
  })

  it('counts down to the end of a way by the present speed, and says its half', () => {
    const program = programOf('sport run\n\n800 m\n200 m')
    const { cues } = read(program, start(program), 240, 4)
    expect(kindsOf(cues, 'countdown').map(cue => cue.t)).toEqual([195, 245].slice(0, 1))
    expect(kindsOf(cues, 'halfway').map(cue => cue.t)).toEqual([100])
  })

  it('leaves out what the wearer has turned off, and marks laps where they are asked for', () => {
    const program = programOf('sport run\n\n5:00')
    let { state } = advance(program, initialState, { kind: 'start', t: 0 })
    const heard: Cue[] = []
    const marks = []
    for (let t = 1; t <= 300; t++) {
      const outcome = advance(
        program,
        state,
        { kind: 'reading', t, metres: t * 4, heartRate: null, power: null, cadence: null },
        { countdown: false, halfway: false, autoLapMetres: 500 },
      )
      state = outcome.state
      heard.push(...outcome.cues)
      marks.push(...outcome.marks)
    }
    expect(heard.map(cue => cue.kind)).toEqual(['lap', 'lap', 'finished'])
    expect(marks.filter(mark => mark.kind === 'lap').map(mark => mark.t)).toEqual([125, 250])
    expect(kindsOf(heard, 'lap')[1]).toMatchObject({ metres: 500, seconds: 125 })
  })

  it('runs a second programme beside the first, and says what both say at once only once', () => {
    const program = programOf('sport run\nprompt drink from 1:00 every 1:00\n\n4:00')
    let { state } = advance(program, initialState, { kind: 'start', t: 0 })
    const said: string[] = []
    for (let t = 1; t < 240; t++) {
      const outcome = advance(
        program,
        state,
        { kind: 'reading', t, metres: t, heartRate: null, power: null, cadence: null },
        { countdown: true, halfway: true, prompts: [...runWalk(90, 30), { say: 'drink', from: 120, every: 600 }] },
      )
      state = outcome.state
      for (const cue of outcome.cues) if (cue.kind === 'prompt') said.push(`${cue.t} ${cue.say}`)
    }
    expect(said).toEqual(['60 drink', '90 walk', '120 drink', '120 run', '180 drink', '210 walk'])
  })

  it("takes the second programme from the athlete's schools, walking only in a run", () => {
    const set = {
      ...athlete,
      schools: {
        cues: { halfway: false, autoLapMetres: 1000 },
        beside: { drinkSeconds: 1200, eatSeconds: 2400, runSeconds: 540, walkSeconds: 60 },
      },
    }
    expect(settingsOf(athlete, 'run')).toEqual({ countdown: true, halfway: true })
    expect(settingsOf(set, 'ride')).toEqual({
      countdown: true,
      halfway: false,
      autoLapMetres: 1000,
      prompts: [
        { say: 'drink', from: 1200, every: 1200 },
        { say: 'eat', from: 2400, every: 2400 },
      ],
    })
    expect(settingsOf(set, 'run').prompts!.map(prompt => prompt.say)).toEqual(['drink', 'eat', 'walk', 'run'])
  })

  it('judges a pool by whole lengths', () => {
    const program = programOf('sport swim\nplace pool 25 m\n\n400 m @ 1:50-2:00 /100m')
    let state = start(program)
    for (let t = 1; t <= 100; t++)
      state = advance(program, state, {
        kind: 'reading',
        t,
        metres: Math.floor(t / 31.25) * 25,
        heartRate: null,
        power: null,
        cadence: null,
      }).state
    expect(state.step!.window.map(reading => reading.metres)).toEqual([50, 75])
    const { target, figure, figureIs } = faceOf(program, state)
    expect([target!.value, target!.side, figure, figureIs]).toEqual(['2:04', 'too-easy', '13', 'lengths left'])
  })

  it('says when a block ends for rounds missed', () => {
    const program = programOf('sport run\n\n6 times, stop after 2 missed\n  1:00 @ 4:00-4:20 /km\n  recovery 0:20\n0:30')
    expect(kindsOf(read(program, start(program), 300, 3).cues, 'missed')).toEqual([{ kind: 'missed', t: 160, rounds: 2 }])
    expect(kindsOf(read(program, start(program), 520, 4).cues, 'missed')).toEqual([])
  })
})
