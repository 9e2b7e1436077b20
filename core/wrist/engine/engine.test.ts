import { describe, expect, it } from 'vitest'
import { carryOut, stepNames } from '../../../tests/support/carry-out'
import { advance, initialState } from './engine'
import { heldOf, meanOf } from './judging'
import { fit } from '../fit/fit'
import { profileNamed } from '../program/profile'
import type { Program } from '../program/program'
import { entrancesOf } from '../program/program-steps'
import { seenBy } from '../../../tests/support/standpoint'
import { athlete, flatNames, programOf, read, sessionOf, start } from '../../../tests/support/engine'

const nested = `sport run

warm-up until press
2 times, drop last recovery
  3 times, drop last recovery
    0:20 @ 102-106 %CP
    recovery 50 m
  off 2 times
    1:00
  rest 0:30
off 5:00
4 times
  100 m or 0:40
  recovery 0:15 or until press
cool-down until press`

describe('carrying a program out', () => {
  it('executes every flat step once and in order, whatever 500 seeds press, skip and pause', () => {
    const program = programOf(nested)
    const expected = flatNames(nested)
    expect(expected).toHaveLength(1 + 2 * 5 + 1 + 8 + 1)
    for (let seed = 1; seed <= 500; seed++) {
      const { marks, state } = carryOut(program, seed, { press: 0.1, skip: seed % 3 === 0 ? 0.05 : 0, pause: 0.05 })
      expect(state.phase, `seed ${seed}`).toBe('finished')
      expect(stepNames(marks), `seed ${seed}`).toEqual(expected)
      expect(marks.at(-1)!.kind).toBe('stop')
    }
  })

  it('does the same on a watch without nesting, whose program is written out', () => {
    const program = programOf(nested, 'runner')
    const flat: Program = fit(sessionOf(nested), { ...profileNamed('all-sport')!, maxNesting: 0 }, seenBy(athlete)).program
    expect(flat.items.every(item => item.kind === 'step')).toBe(true)
    for (const one of [program, flat]) {
      expect(stepNames(carryOut(one, 7, { press: 0.2, skip: 0, pause: 0 }).marks)).toEqual(flatNames(nested))
    }
  })

  it('ends a timed step at its very second and a way at the instant it is covered', () => {
    const program = programOf('sport run\n\n0:10\n25 m\n0:10')
    let state = start(program)
    const marks = []
    for (const [t, metres] of [
      [7, 20],
      [14, 60],
      [21, 90],
      [30, 120],
    ] as const) {
      const outcome = advance(program, state, { kind: 'reading', t, metres, heartRate: null, power: null, cadence: null })
      state = outcome.state
      marks.push(...outcome.marks)
    }
    const atTen = 20 + (40 * 3) / 7
    expect(marks.map(mark => [mark.kind, Number(mark.t.toFixed(6))])).toEqual([
      ['step', 10],
      ['step', Number((14 + ((25 - (60 - atTen)) / 30) * 7).toFixed(6))],
      ['stop', Number((24 + ((25 - (60 - atTen)) / 30) * 7).toFixed(6))],
    ])
  })

  it('leaves pauses and the metres in them out', () => {
    const program = programOf('sport run\n\n100 m\n0:10')
    let { state } = read(program, start(program), 10)
    state = advance(program, state, { kind: 'pause', t: 10 }).state
    state = read(program, state, 30).state
    state = advance(program, state, { kind: 'resume', t: 40 }).state
    const { marks } = read(program, state, 30)
    expect(marks.map(mark => [mark.kind, mark.t])).toEqual([
      ['step', 55],
      ['stop', 65],
    ])
  })

  it('takes a press only where a step ends by press, and takes it back within five seconds', () => {
    const program = programOf('sport run\n\n0:30\nwarm-up until press\n1:00')
    let state = start(program)
    expect(advance(program, state, { kind: 'press', t: 3 }).marks).toEqual([])
    state = read(program, state, 40).state
    const pressed = advance(program, state, { kind: 'press', t: 40 })
    expect(pressed.marks.map(mark => mark.kind)).toEqual(['press', 'step'])
    const later = read(program, pressed.state, 4).state
    const back = advance(program, later, { kind: 'back', t: 44 })
    expect(back.marks).toEqual([{ t: 44, kind: 'back', path: '2', round: [] }])
    const late = read(program, back.state, 3).state
    expect(advance(program, late, { kind: 'back', t: 47 }).marks).toEqual([])
    expect(late.step!.startT).toBe(30)
  })

  it('stops a repeat until a distance the moment it is reached, rest metres not counted', () => {
    const program = programOf('sport run\n\nrepeat for 300 m\n  0:20\n  rest 0:10\n0:05')
    const { marks } = read(program, start(program), 200, 4)
    expect(marks.map(mark => `${mark.kind} ${mark.path ?? ''} ${mark.t}`)).toEqual([
      'step 1.2 20',
      'step 1.1 30',
      'step 1.2 50',
      'step 1.1 60',
      'step 1.2 80',
      'step 1.1 90',
      'step 2 105',
      'stop  110',
    ])
  })

  it('keeps the clock of a send-off going through a pause, leaves at once when late, ends the last at the touch', () => {
    const program = programOf('sport swim\n\n3 times\n  20 m on 0:30')
    let { state, marks } = read(program, start(program), 10, 1)
    state = advance(program, state, { kind: 'pause', t: 10 }).state
    state = read(program, state, 10, 0).state
    state = advance(program, state, { kind: 'resume', t: 20 }).state
    ;({ marks } = read(program, state, 80, 0.5))
    expect(marks.map(mark => [mark.kind, mark.t])).toEqual([
      ['step', 40],
      ['step', 80],
    ])
  })

  it('leaves a send-off at its clock when the touch was earlier, a pause or not', () => {
    const program = programOf('sport swim\n\n2 times\n  10 m on 0:30')
    let { state } = read(program, start(program), 8, 2)
    state = advance(program, state, { kind: 'pause', t: 8 }).state
    state = read(program, state, 10, 0).state
    state = advance(program, state, { kind: 'resume', t: 18 }).state
    const { marks } = read(program, state, 40, 2)
    expect(marks.map(mark => [mark.kind, mark.t])).toEqual([
      ['step', 30],
      ['stop', 35],
    ])
  })

  it('stops a block when two rounds in a row were held under half', () => {
    const program = programOf('sport run\n\n6 times, stop after 2 missed\n  1:00 @ 4:00-4:20 /km\n  recovery 0:20\n0:30')
    const { marks } = read(program, start(program), 300, 3)
    expect(stepNames(marks)).toEqual(['1.2@1', '1.1@2', '1.2@2', '2@'])
  })

  it('nudges after five seconds outside and again after the repeat, not while settling, not inside', () => {
    const program = programOf('sport run\n\n2:00 @ 4:00-4:20 /km')
    const slow = read(program, start(program), 60, 3.5)
    expect(slow.cues.filter(cue => cue.kind === 'nudge').map(cue => [cue.t, cue.kind === 'nudge' && cue.side])).toEqual([
      [15, 'too-easy'],
      [30, 'too-easy'],
      [45, 'too-easy'],
      [60, 'too-easy'],
    ])
    expect(read(program, start(program), 110, 4).cues.filter(cue => cue.kind === 'nudge')).toEqual([])
  })

  it('calls the ceiling after five seconds and every ten, and it outranks the nudge', () => {
    const program = programOf('sport run\nceiling 150 bpm\n\n2:00 @ 4:00-4:20 /km')
    const { cues } = read(program, start(program), 36, 3.5, 160)
    expect(cues.filter(cue => cue.kind === 'ceiling').map(cue => cue.t)).toEqual([6, 16, 26, 36])
    expect(cues.filter(cue => cue.kind === 'nudge')).toEqual([])
  })

  it('counts prompts in moving time', () => {
    const program = programOf('sport run\nprompt drink from 0:30 every 0:20, 2 times\n\n3:00')
    const { marks } = read(program, start(program), 100)
    expect(marks.filter(mark => mark.kind === 'prompt').map(mark => mark.t)).toEqual([30, 50])
  })

  it('judges no pace where the position is lost', () => {
    const program = programOf('sport run\n\n2:00 @ 4:00-4:20 /km')
    let state = start(program)
    for (let t = 1; t <= 60; t++)
      state = advance(program, state, { kind: 'reading', t, metres: null, heartRate: 140, power: null, cadence: null }).state
    expect(meanOf(state.step!.judging, 'pace')).toBeNull()
    expect(heldOf(state.step!.judging)).toBeNull()
  })
})

describe('going elsewhere in a program', () => {
  const program = programOf(
    'sport run\n\n1:00\n6 times\n  2 times\n    0:20\n    recovery 0:10\n  rest 0:30\nrepeat for 1 km\n  0:30\n  recovery 0:30',
  )

  it('jumps to a step or to the first of a round, forward and back', () => {
    let state = read(program, start(program), 10).state
    const jumped = advance(program, state, { kind: 'jump', t: 10, to: { path: '2.1.2', round: [4, 2] } })
    expect(jumped.marks.map(mark => [mark.kind, mark.path, mark.round])).toEqual([
      ['jump', '2.1.2', [4, 2]],
      ['step', '2.1.2', [4, 2]],
    ])
    expect(stepNames(read(program, jumped.state, 130).marks)).toEqual([
      '2.2@4',
      '2.1.1@5.1',
      '2.1.2@5.1',
      '2.1.1@5.2',
      '2.1.2@5.2',
      '2.2@5',
      '2.1.1@6.1',
    ])
    state = advance(program, jumped.state, { kind: 'jump', t: 11, to: { path: '2', round: [1] } }).state
    expect(stepNames(read(program, state, 25).marks)).toEqual(['2.1.2@1.1'])
  })

  it('goes nowhere when there is no such place, and does not jump before or after', () => {
    const { state } = read(program, start(program), 10)
    for (const to of [
      { path: '9', round: [] },
      { path: '2.1.1', round: [7, 1] },
      { path: '2.1.1', round: [1] },
      { path: '1', round: [1] },
    ]) {
      expect(advance(program, state, { kind: 'jump', t: 10, to }).marks, JSON.stringify(to)).toEqual([])
    }
    expect(advance(program, initialState, { kind: 'jump', t: 0, to: { path: '1', round: [] } }).marks).toEqual([])
  })

  it('keeps what a repeat until a distance has counted, when it jumps within it', () => {
    let state = advance(program, start(program), { kind: 'jump', t: 0, to: { path: '3', round: [1] } }).state
    state = read(program, state, 70, 10).state
    state = advance(program, state, { kind: 'jump', t: 70, to: { path: '3.1', round: [1] } }).state
    const { marks } = read(program, state, 60, 10)
    expect(marks.at(-1)).toMatchObject({ kind: 'stop', t: 100 })
  })

  it('begins where it is told, written out or not', () => {
    const flat = fit(
      sessionOf('sport run\n\n1:00\n6 times\n  0:20\n  recovery 0:10'),
      { ...profileNamed('all-sport')!, maxNesting: 0 },
      seenBy(athlete),
    ).program
    const begun = advance(flat, initialState, { kind: 'start', t: 0, from: { path: '2.1', round: [4] } })
    expect(stepNames([...begun.marks, ...read(flat, begun.state, 95).marks])).toEqual([
      '2.1@4',
      '2.2@4',
      '2.1@5',
      '2.2@5',
      '2.1@6',
      '2.2@6',
    ])
  })

  it('lists where it can be entered', () => {
    expect(
      entrancesOf(program)
        .map(({ words }) => words)
        .slice(0, 4),
    ).toEqual([
      '1:00',
      '6 x (2 x (0:20, recovery 0:10), rest 0:30)',
      'only the last 3 of 6: 2 x (0:20, recovery 0:10), rest 0:30',
      'round 2 of 6: 2 x (0:20, recovery 0:10), rest 0:30',
    ])
    for (const { at } of entrancesOf(program))
      expect(advance(program, initialState, { kind: 'start', t: 0, from: at }).marks[0]!.path!.startsWith(at.path)).toBe(true)
  })
})
