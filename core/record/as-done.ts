import { groupBy } from '../quantity/group'
import { meanOfKnown } from '../quantity/mean'
import type { Block, End, Item, Leg, Session, Sport, Step, Target } from '../session/document'
import { isBandTarget, isZoneTarget } from '../session/document'
import type { Score, ScoredStep } from './score'
import { singlePace } from './single-pace'

const isDone = ({ status }: ScoredStep) => status === 'done' || status === 'ran-over' || status === 'cut-short'
const toFives = (seconds: number) => Math.max(5, Math.round(seconds / 5) * 5)
/** A length that was missed by less was meant. */
const asMeant = 0.05

/** The measure that a step was led by: its own, else power on the bike where it was measured, else pace. */
function measureOf({ target }: Step, sport: Sport, rounds: readonly ScoredStep[]): 'pace' | 'power' | 'heart-rate' {
  if (target && (isBandTarget(target) || isZoneTarget(target)) && (target.of === 'power' || target.of === 'heart-rate')) return target.of
  return sport === 'ride' && rounds.some(round => round.mean.power !== null) ? 'power' : 'pace'
}

function targetOf(step: Step, sport: Sport, rounds: readonly ScoredStep[]): Target | undefined {
  if (step.role === 'rest' || (step.role !== 'work' && !step.target)) return undefined
  const measure = measureOf(step, sport, rounds)
  if (measure === 'pace') {
    const speed = meanOfKnown(rounds.map(round => round.mean.speed))
    return speed !== null && speed > 0 ? singlePace(speed, sport) : undefined
  }
  const value = meanOfKnown(rounds.map(round => (measure === 'power' ? round.mean.power : round.mean.heartRate)))
  if (value === null) return undefined
  return { of: measure, unit: measure === 'power' ? 'W' : 'bpm', easiest: Math.round(value), hardest: Math.round(value) }
}

function endOf(end: End, rounds: readonly ScoredStep[]): End {
  const seconds = meanOfKnown(rounds.map(round => round.seconds))
  if (seconds === null || seconds <= 0) return end
  if (end.on === 'time') return Math.abs(seconds / end.seconds - 1) < asMeant ? end : { on: 'time', seconds: toFives(seconds) }
  return end.on === 'distance' || end.on === 'send-off' ? end : { on: 'time', seconds: toFives(seconds) }
}

/**
 * The session as it was carried out: as many rounds as were done, each step at the mean that was held and as long as it took where
 * that was not what was meant; steps that were not done are not in it.
 *
 * @returns null where nobody knows which step was when, or none was done
 */
export function sessionAsDone(session: Session, score: Score): Session | null {
  if (score.basis === 'none') return null
  const byPath = groupBy(score.steps.filter(isDone), ({ path }) => path)
  const roundsOf = (path: string, depth: number) =>
    new Set([...byPath].flatMap(([own, steps]) => (own.startsWith(`${path}.`) ? steps.map(({ round }) => round[depth] ?? 1) : []))).size
  const walk = (items: readonly Item[], path: string, depth: number, sport: Sport): Item[] =>
    items.flatMap((item, index): Item[] => {
      const own = path === '' ? String(index + 1) : `${path}.${index + 1}`
      if (item.kind === 'unread') return []
      if (item.kind === 'step') return stepOf(item, byPath.get(own) ?? [], sport)
      const inner = walk(item.items, own, item.kind === 'block' ? depth + 1 : depth, item.kind === 'leg' ? item.sport : sport)
      if (inner.length === 0) return []
      if (item.kind === 'leg') return [{ ...item, items: inner } satisfies Leg]
      const { repeat: _, doubt: __, ...rest } = item
      return [{ ...rest, repeat: { times: Math.max(1, roundsOf(own, depth)) }, items: inner } satisfies Block]
    })
  const items = walk(session.items, '', 0, session.sport === 'multi' ? 'run' : session.sport)
  return items.length === 0 ? null : { ...session, items }
}

function stepOf(step: Step, rounds: readonly ScoredStep[], sport: Sport): Item[] {
  if (rounds.length === 0) return []
  const { target: _, also: __, doubt: ___, ...rest } = step
  const target = targetOf(step, sport, rounds)
  return [{ ...rest, end: endOf(step.end, rounds), ...(target ? { target } : {}) }]
}
