import { sportNames } from '../session/sports'
import type { Athlete, HeartNumbers } from './athlete'
import { heartOf } from './athlete'
import { isHumanEffort } from './marks'

/** What contradicts itself in an athlete's numbers: where, as a JSON pointer, and what. */
export interface AthleteProblem {
  pointer: string
  problem: string
}

/** Heart numbers by how high they lie. */
const rising = [
  ['rest', 'the resting heart rate'],
  ['aerobicThreshold', 'the first threshold'],
  ['threshold', 'the threshold heart rate'],
  ['max', 'the maximum heart rate'],
] as const

function heartProblem(heart: HeartNumbers, pointer: string): AthleteProblem | null {
  const known = rising.filter(([name]) => heart[name] !== undefined)
  for (const [index, [name, words]] of known.entries()) {
    const higher = known.slice(index + 1).find(([above]) => heart[above]! <= heart[name]!)
    if (higher)
      return { pointer: `${pointer}/${name}`, problem: `${words}, ${heart[name]}, is not below ${higher[1]}, ${heart[higher[0]]}` }
  }
  return null
}

/**
 * What cannot be true of an athlete that fits the format: heart rates out of their order, in a sport too, and efforts that no
 * human can have made.
 */
export function athleteProblem(athlete: Athlete): AthleteProblem | null {
  const inSports = sportNames
    .filter(sport => athlete.heart?.bySport?.[sport])
    .map(sport => heartProblem(heartOf(athlete, sport), `/heart/bySport/${sport}`))
  const impossible = (athlete.efforts ?? []).findIndex(effort => !isHumanEffort(effort))
  return (
    heartProblem(athlete.heart ?? {}, '/heart') ??
    inSports.find(problem => problem !== null) ??
    (impossible < 0 ? null : { pointer: `/efforts/${impossible}`, problem: 'is faster or stronger than anybody has ever been' })
  )
}
