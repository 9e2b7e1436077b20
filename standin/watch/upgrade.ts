import { nothingJudged } from '../../core/wrist/engine/judging'
import { restedBody } from '../body/body'
import type { Going } from './going'

/** Names that what is carried out had in the storage of earlier versions, and the ones it has now. */
const renamed: Readonly<Record<string, string>> = { way: 'distance', startWay: 'startDistance' }

function withNames(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(withNames)
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(Object.entries(value).map(([name, inner]) => [renamed[name] ?? name, withNames(inner)]))
}

/** What an earlier version was carrying out when the power went, in the names of this one: the run goes on. */
export function upgradeGoing(stored: Going | null): Going | null {
  if (!stored) return null
  const { manner, ...wearer } = stored.wearer as Going['wearer'] & { manner?: Going['wearer']['behaviour'] }
  const state = withNames(stored.state) as Going['state']
  const { t, metres, speed, heartRate, worked } = stored.body
  return {
    ...stored,
    body: 'wear' in stored.body ? stored.body : { ...restedBody(wearer.athlete), t, metres, speed, heartRate, worked },
    state: { ...state, ended: state.ended ?? null, step: state.step && { ...state.step, judging: state.step.judging ?? nothingJudged } },
    wearer: { ...wearer, behaviour: wearer.behaviour ?? manner ?? { bias: 0 } },
  }
}
