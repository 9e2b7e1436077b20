import type { Units } from '../../athlete/athlete'
import { usualUnits } from '../../athlete/athlete'
import { distanceAsSaid, metresPer, sayDistance } from '../../quantity/distance'
import { kilocaloriesOf } from '../../quantity/energy'
import { formatTime } from '../../quantity/time'
import type { Cursor } from './cursor'
import { nextCursor, roundOf, roundsOf, stepAt } from './cursor'
import type { EngineState, Signal } from './engine'
import { progressOf } from './engine'
import { isCeilingCalled, signalWords } from './engine-state'
import type { Side } from './holding'
import { bandAlong } from '../../quantity/band'
import { sideOf, smoothedValue } from './holding'
import { settlingSeconds } from '../../nudge/settling'
import type { Program, ProgramEnd, ProgramStep, ProgramTarget } from '../program/program'
import { poolLengthOf } from '../program/program'
import type { PaceReading } from '../../athlete/say-target'
import { sayEnd } from '../program/words'
import { paceReadingFor, sayEndOfBand, sayTarget, sayValue, unitWords } from '../../athlete/say-target'

/** What the wrist shows of a running program: everything readable at arm's length, nothing hidden after a few seconds. */
export interface Face {
  phase: EngineState['phase']
  title: string
  /** `90 s · set 2 of 2 · rep 3 of 4`. */
  where: string
  step: string
  role: ProgramStep['role'] | null
  /** The large figure and what it counts. */
  figure: string
  figureIs: 'left' | 'length left' | 'lengths left' | 'gone' | 'until you press' | 'to the clock'
  /** From 0 to 1 where the step's end can tell. */
  progress: number | null
  target: FaceTarget | null
  also: string | null
  next: string
  heartRate: number | null
  total: { time: string; distance: string }
  ceilingCrossed: boolean
  /** A sensor that is needed and silent: `no heart rate`. */
  silent: string | null
}

export interface FaceTarget {
  words: string
  easiest: string | null
  hardest: string | null
  unit: string
  value: string | null
  /** Null while settling or without a signal. */
  side: Side | null
  /** Where the value stands on the line, the band filling its middle half: 0 far too easy, 1 far too hard. */
  at: number | null
}

/** What is left of a distance, in the unit that it was said in: miles to a hundredth, yards, else metres. */
function sayLeft(left: number, of: number): string {
  const { unit } = distanceAsSaid(of)
  if (unit === 'mi') return `${(Math.ceil((left / metresPer.mi) * 100 - 1e-6) / 100).toFixed(2)} mi`
  return unit === 'yd' ? `${Math.ceil(left / metresPer.yd - 1e-6)} yd` : `${left} m`
}

function wayLeft(metres: number, state: EngineState, poolLength: number | null): Pick<Face, 'figure' | 'figureIs'> {
  const left = Math.max(0, Math.ceil(metres - (state.metres - state.step!.startMetres) - 1e-6))
  return poolLength !== null && left >= poolLength
    ? { figure: String(Math.round(left / poolLength)), figureIs: left < 2 * poolLength ? 'length left' : 'lengths left' }
    : { figure: sayLeft(left, metres), figureIs: 'left' }
}

function left(end: ProgramEnd, state: EngineState, poolLength: number | null): Pick<Face, 'figure' | 'figureIs'> {
  const step = state.step!
  const gone: Pick<Face, 'figure' | 'figureIs'> = { figure: formatTime(Math.floor(state.moving - step.startMoving)), figureIs: 'gone' }
  switch (end.on) {
    case 'time':
      return { figure: formatTime(Math.max(0, Math.ceil(end.seconds - (state.moving - step.startMoving) - 1e-6))), figureIs: 'left' }
    case 'distance':
      return wayLeft(end.metres, state, poolLength)
    case 'send-off': {
      if (step.touchedAt !== null)
        return { figure: formatTime(Math.max(0, Math.ceil(step.startT + end.seconds - state.t))), figureIs: 'to the clock' }
      return wayLeft(end.metres, state, poolLength)
    }
    case 'energy':
      return { figure: `${Math.max(0, Math.ceil(kilocaloriesOf(end.joules - (state.work - step.startWork))))} kcal`, figureIs: 'left' }
    case 'press':
      return { ...gone, figureIs: 'until you press' }
    case 'heart-rate':
      return gone
    case 'first':
      return left(end.of[0], state, poolLength)
  }
}

function faceTarget(target: ProgramTarget, state: EngineState, share: number, reading: PaceReading): FaceTarget {
  const band = bandAlong(target, share)
  const value = smoothedValue(target.of, state.step!.window)
  const settled = state.moving - state.step!.startMoving > settlingSeconds[target.of]
  const say = (number: number | undefined, end: 'easiest' | 'hardest') =>
    number === undefined ? null : sayEndOfBand(number, end, target.of, reading)
  const low = band.easiest ?? band.hardest! * 0.9
  const high = band.hardest ?? band.easiest! * 1.1
  const width = Math.max(high - low, high * 0.005)
  return {
    words: sayTarget(target, reading),
    easiest: say(band.easiest, 'easiest'),
    hardest: say(band.hardest, 'hardest'),
    unit: unitWords(target, reading),
    value: value === null ? null : sayValue(value, target.of, reading),
    side: value === null || !settled ? null : sideOf(value, target, share),
    at: value === null ? null : Math.min(1, Math.max(0, 0.25 + ((value - low) / width) * 0.5)),
  }
}

function sayRounds(program: Program, cursor: Cursor): string[] {
  const round = roundOf(program, cursor)
  const rounds = roundsOf(program, cursor)
  return round.map((own, index) => {
    const name = index === round.length - 1 ? 'rep' : round.length === 2 ? 'set' : `set ${index + 1}:`
    const total = rounds[index]
    return `${name} ${own}${total === null || total === undefined ? '' : ` of ${total}`}`
  })
}

const sayStep = (step: ProgramStep) => (step.role === 'work' ? sayEnd(step.end) : `${step.role} ${sayEnd(step.end)}`)

function sayNext(program: Program, state: EngineState, reading: PaceReading): string {
  const next = nextCursor(program, state.cursor!, { moving: state.moving, distance: state.distance })
  if (!next) return 'then done'
  const step = stepAt(program, next)
  return `then ${sayStep(step)}${step.target ? ` @ ${sayTarget(step.target, reading)}` : ''}`
}

function silentWords({ silent }: EngineState): string | null {
  const said = (Object.keys(signalWords) as Signal[]).filter(signal => silent[signal]?.isSaid)
  return said.length === 0 ? null : said.map(signal => `no ${signalWords[signal]}`).join(', ')
}

/**
 * The face for a state of the engine.
 *
 * @param units the athlete's, for what is to be read
 */
export function faceOf(program: Program, state: EngineState, units: Units = usualUnits): Face {
  const unit = units[program.sport === 'multi' ? 'run' : program.sport]
  const total = { time: formatTime(Math.floor(state.moving)), distance: sayDistance(state.metres, unit) }
  const heartRate = state.heartRate === null ? null : Math.round(state.heartRate)
  const blank: Face = {
    phase: state.phase,
    title: program.name,
    where: '',
    step: '',
    role: null,
    figure: total.time,
    figureIs: 'gone',
    progress: null,
    target: null,
    also: null,
    next: '',
    heartRate,
    total,
    ceilingCrossed: false,
    silent: null,
  }
  if (!state.cursor || !state.step) return blank
  const step = stepAt(program, state.cursor)
  const reading = paceReadingFor(step.sport, units[step.sport])
  const share = progressOf(step.end, state)
  return {
    ...blank,
    where: [sayStep(step), ...sayRounds(program, state.cursor)].join(' · '),
    step: step.name,
    role: step.role,
    ...left(step.end, state, poolLengthOf(step, program)),
    progress: share,
    target: step.target ? faceTarget(step.target, state, share ?? 0, reading) : null,
    also: step.also ? sayTarget(step.also, reading) : null,
    next: sayNext(program, state, reading),
    ceilingCrossed: isCeilingCalled(state),
    silent: silentWords(state),
  }
}
