import { describe, expect, it } from 'vitest'
import { ilse } from '../../../demo/athlete'
import { readScript } from '../../script/reader/read-script'
import type { EngineState } from './engine'
import { advance, initialState } from './engine'
import { faceOf } from './face'
import { fit } from '../fit/fit'
import { profileNamed } from '../program/profile'
import type { Program, ProgramTarget } from '../program/program'
import { printProgramItem, sayEnd } from '../program/words'
import { paceReadingFor, saySpeed, sayTarget } from '../../athlete/say-target'
import { nobody } from '../../athlete/standpoint'
import { seenBy } from '../../../tests/support/standpoint'

const programOf = (text: string): Program => fit(readScript(text, nobody).sessions[0]!, profileNamed('all-sport')!, seenBy(ilse)).program
function after(program: Program, seconds: number, speed = 4, heartRate = 140): EngineState {
  let { state } = advance(program, initialState, { kind: 'start', t: 0 })
  for (let t = 1; t <= seconds; t++)
    state = advance(program, state, { kind: 'reading', t, metres: t * speed, heartRate, power: 200, cadence: 170 }).state
  return state
}

describe('the face of the wrist', () => {
  const ladder = programOf(
    'sport run\n\n2 times, drop last recovery\n  3 times\n    400 m @ 4:00-4:20 /km\n    rest 0:30\n  recovery 2:00\ncool-down until press',
  )

  it('says what now, how much is left, which round of how many and what next', () => {
    const face = faceOf(ladder, after(ladder, 40))
    expect(face).toMatchObject({ where: '400 m · set 1 of 2 · rep 1 of 3', figure: '240 m', figureIs: 'left', next: 'then rest 0:30' })
  })

  it('keeps the target in sight with the value and its side of the band', () => {
    const target = faceOf(ladder, after(ladder, 40)).target!
    expect(target).toMatchObject({ words: '4:00-4:20 /km', easiest: '4:20', hardest: '4:00', unit: '/km', value: '4:10', side: 'inside' })
    expect(target.at).toBeGreaterThan(0.4)
    expect(target.at).toBeLessThan(0.6)
    expect(faceOf(ladder, after(ladder, 40, 3.5)).target).toMatchObject({ side: 'too-easy' })
    expect(faceOf(ladder, after(ladder, 40, 4.6)).target).toMatchObject({ side: 'too-hard', at: 1 })
  })

  it('does not blame while settling', () => expect(faceOf(ladder, after(ladder, 8, 3)).target!.side).toBeNull())

  it('counts a rest down and looks ahead over the end of a round', () => {
    expect(faceOf(ladder, after(ladder, 110))).toMatchObject({
      figure: '0:20',
      figureIs: 'left',
      role: 'rest',
      target: null,
      next: 'then 400 m @ 4:00-4:20 /km',
    })
  })

  it('counts up where a step ends by a press, and says that it is the last', () => {
    let { state } = advance(ladder, after(ladder, 5), { kind: 'skip', t: 5 })
    for (let skips = 0; skips < 30 && state.cursor!.blocks.length > 0; skips++) state = advance(ladder, state, { kind: 'skip', t: 5 }).state
    expect(faceOf(ladder, state)).toMatchObject({
      figure: '0:00',
      figureIs: 'until you press',
      next: 'then done',
      where: 'cool-down until press',
    })
  })

  it('shows the wait to the clock of a send-off after the touch', () => {
    const swim = programOf('sport swim\n\n2 times\n  50 m on 1:00 free')
    expect(faceOf(swim, after(swim, 30, 1))).toMatchObject({ figure: '20 m', figureIs: 'left' })
    expect(faceOf(swim, after(swim, 55, 1))).toMatchObject({ figure: '0:05', figureIs: 'to the clock' })
  })

  it('moves the band of a target that changes', () => {
    const program = programOf('sport run\n\n10:00 @ 6:00 to 5:00 /km')
    const early = faceOf(program, after(program, 60)).target!
    const late = faceOf(program, after(program, 540)).target!
    expect(late.easiest! < early.easiest!).toBe(true)
  })

  it('is blank but for the totals before and after', () => {
    expect(faceOf(ladder, initialState)).toMatchObject({ phase: 'ready', figure: '0:00', target: null, where: '' })
    const { state } = advance(ladder, after(ladder, 5), { kind: 'stop', t: 5 })
    expect(faceOf(ladder, state)).toMatchObject({ phase: 'finished', total: { time: '0:05', distance: '20 m' } })
  })

  it('says when the ceiling is crossed', () => {
    const program = programOf('sport run\nceiling 130 bpm\n\n5:00 @ 4:00-4:20 /km')
    expect(faceOf(program, after(program, 20)).ceilingCrossed).toBe(true)
    expect(faceOf(program, after(program, 20, 4, 120)).ceilingCrossed).toBe(false)
  })
})

describe('words of the wrist', () => {
  it.each([
    [4, 'min/km', '4:10'],
    [4, 'min/mi', '6:42'],
    [0.893, 'min/100m', '1:52'],
    [8, 'km/h', '28.8'],
    [8, 'mi/h', '17.9'],
    [0, 'min/km', '-:--'],
  ] as const)('%d m/s in %s is %s', (speed, reading, words) => expect(saySpeed(speed, reading)).toBe(words))

  const pace: ProgramTarget = { of: 'pace', unit: 'm/s', easiest: 3.9, hardest: 4.1 }
  it.each<[ProgramTarget, string]>([
    [pace, '4:04-4:17 /km'],
    [{ ...pace, easiest: undefined }, '4:04 /km or slower'],
    [{ ...pace, hardest: undefined }, '4:17 /km or faster'],
    [{ ...pace, to: { easiest: 4, hardest: 4 } }, '4:04-4:17 /km to 4:10 /km'],
    [{ of: 'power', unit: 'W', easiest: 219.3, hardest: 227.9 }, '219-228 W'],
    [{ of: 'heart-rate', unit: 'bpm', hardest: 145 }, '145 bpm or below'],
    [{ of: 'rpe', unit: 'of 10', easiest: 6, hardest: 7 }, '6-7 of 10'],
  ])('says a band as the athlete reads it', (target, words) => expect(sayTarget(target, 'min/km')).toBe(words))

  it('chooses the reading by sport and unit', () => {
    expect([paceReadingFor('run', 'mi'), paceReadingFor('ride', 'km'), paceReadingFor('swim'), paceReadingFor('ride', 'mi')]).toEqual([
      'min/mi',
      'km/h',
      'min/100m',
      'mi/h',
    ])
  })

  it.each([
    [{ on: 'distance', metres: 2000 }, '2 km'],
    [{ on: 'distance', metres: 1609.344 }, '1 mi'],
    [{ on: 'energy', joules: 300 * 4184 * 0.24 }, '300 kcal'],
    [{ on: 'heart-rate', above: 150 }, 'until HR above 150'],
    [{ on: 'first', of: [{ on: 'time', seconds: 60 }, { on: 'press' }] }, '1:00 or until press'],
  ] as const)('says an end', (end, words) => expect(sayEnd(end as never)).toBe(words))

  it("says a program's rows", () => {
    const { items } = programOf('sport run\n\nrepeat for 5 km\n  4:00 @ 4:00-4:20 /km\nrepeat for 20:00\n  recovery 1:00 jog')
    expect(items.map(item => printProgramItem(item))).toEqual(['repeat for 5 km', 'repeat for 20 min'])
  })
})
