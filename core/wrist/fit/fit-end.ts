import { metresOnFoot, slopeOf } from '../../athlete/grade'
import { usualSecondsOf } from '../../athlete/athlete'
import { toMetres } from '../../quantity/distance'
import { pedalJoulesOf } from '../../quantity/energy'
import { printEnd } from '../../script/print'
import type { End, Step } from '../../session/document'
import type { EndBecause } from '../../words/losses'
import { sayInstead, sayLoss } from '../../words/losses'
import type { FitContext, Way } from './loss'
import { lose } from './loss'
import type { ProgramEnd } from '../program/program'
import { sayEnd } from '../program/words'

/** An end as the watch carries it, and the rest until a clock that may have to stand behind it. */
export interface FittedEnd {
  end: ProgramEnd
  restBehind?: number
}

type Ends = { way: string; end: ProgramEnd; restBehind?: number; because?: EndBecause }

/** Whether the watch can end a step so, and the sensors of this sport can tell it. */
const isCarried = (end: End, context: FitContext): boolean =>
  context.profile.ends.includes(end.on) &&
  (end.on !== 'energy' || context.sport === 'ride') &&
  (end.on !== 'first' || end.of.every(part => isCarried(part, context)))

function plainEnd(end: End): ProgramEnd {
  switch (end.on) {
    case 'time':
      return { on: 'time', seconds: end.seconds }
    case 'distance':
      return { on: 'distance', metres: toMetres(end) }
    case 'press':
      return { on: 'press' }
    case 'heart-rate':
      return end.below !== undefined ? { on: 'heart-rate', below: end.below } : { on: 'heart-rate', above: end.above }
    case 'send-off':
      return { on: 'send-off', metres: toMetres(end), seconds: end.seconds }
    case 'energy':
      return { on: 'energy', joules: pedalJoulesOf(end.kilocalories) }
    case 'first':
      return { on: 'first', of: [plainEnd(end.of[0]), plainEnd(end.of[1])] }
  }
}

function secondsOf(step: Step, path: string, context: FitContext): number {
  const likely = context.likely(path).seconds
  const seconds = likely ?? usualSecondsOf(context.standpoint.athlete, step.role)
  return Math.max(5, Math.round(seconds))
}

/** The ends that could stand for this one, the least loss first, before the watch is asked which of them it knows. */
function candidates(end: End, step: Step, path: string, context: FitContext, isLast: boolean): Ends[] {
  const { standpoint, sport } = context
  const press: Ends = { way: 'press', end: { on: 'press' } }
  const time = (because: EndBecause): Ends => ({ way: 'time', end: { on: 'time', seconds: secondsOf(step, path, context) }, because })
  switch (end.on) {
    case 'time':
      return [press]
    case 'press':
      return [time('usual-length')]
    case 'distance':
      return [...(context.likely(path).seconds === null ? [] : [time('likely-time')]), press]
    case 'heart-rate':
      return [press, time('usual-length')]
    case 'energy': {
      const metres =
        sport === 'run' && standpoint.athlete.massKg !== undefined
          ? Math.round(metresOnFoot(end.kilocalories, standpoint.athlete.massKg, slopeOf(step.grade)))
          : null
      return [
        ...(metres === null ? [] : [{ way: 'distance', end: { on: 'distance' as const, metres }, because: 'energy-of-distance' as const }]),
        press,
        ...(context.likely(path).seconds === null ? [] : [time('likely-time')]),
      ]
    }
    case 'send-off': {
      const metres = toMetres(end)
      const swim = context.likely(path).swimSeconds
      const rest = swim === null ? 0 : Math.round(end.seconds - swim)
      const distance = { on: 'distance' as const, metres }
      return [
        ...(isLast
          ? [{ way: 'distance', end: distance, because: 'last' as const }]
          : rest >= 3
            ? [{ way: 'distance and rest', end: distance, restBehind: rest, because: { restSeconds: rest } }]
            : []),
        { way: 'time', end: { on: 'time', seconds: end.seconds }, because: 'clock-alone' },
        ...(isLast ? [] : [{ way: 'distance', end: distance, because: 'without-clock' as const }]),
      ]
    }
    case 'first': {
      const parts: Ends[] = end.of
        .filter(part => isCarried(part, context))
        .map(part => ({ way: part.on, end: plainEnd(part), because: 'of-two' }))
      return [
        ...parts.sort((a, b) => Number(a.end.on === 'press') - Number(b.end.on === 'press')),
        ...(parts.some(part => part.end.on === 'press') ? [] : [press]),
      ]
    }
  }
}

/**
 * The end that a watch carries for a step's end: the same where it can, else the nearest that keeps the step's point, said as
 * a loss.
 *
 * @param isLast the session ends with this step
 */
export function fitEnd(step: Step, path: string, context: FitContext, isLast: boolean): FittedEnd {
  const { end } = step
  if (isCarried(end, context)) return { end: plainEnd(end) }
  const { profile, sport } = context
  const open = candidates(end, step, path, context, isLast).filter(entry => profile.ends.includes(entry.end.on))
  const ways: Way[] = open.map(entry => ({
    way: entry.way,
    instead: sayInstead({ code: 'end', end: sayEnd(entry.end), because: entry.because }),
  }))
  const isUnmeasured = end.on === 'energy' && profile.ends.includes('energy')
  const what = sayLoss(isUnmeasured ? { code: 'unmeasured-end', end: printEnd(end), sport } : { code: 'end', end: printEnd(end) })
  const way = lose(context, { path, kind: 'end', what, about: `end ${end.on} ${sport}` }, ways)
  const taken = open.find(entry => entry.way === way)
  return taken ? { end: taken.end, ...(taken.restBehind === undefined ? {} : { restBehind: taken.restBehind }) } : { end: { on: 'press' } }
}
