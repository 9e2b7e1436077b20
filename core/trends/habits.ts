import { median } from '../quantity/mean'
import type { Role } from '../session/document'
import type { Learnt } from './learn'

/** What an athlete does of their own accord, with how many recordings tell it. */
export interface Habits {
  /** Seconds that open steps take, in the middle. */
  open: { role: Role; seconds: number; recordings: number }[]
  /** Beats that the heart falls in the minute after hard steps, in the middle; null where too few tell it. */
  recovery: { beats: number; recordings: number } | null
}

/** Fewer recordings tell no habit. */
const fewest = 3

/** What is learnt of habits from recordings; what fewer than three tell is not there. */
export function habitsOf(learnt: readonly Pick<Learnt, 'open' | 'recoveries'>[]): Habits {
  const roles = new Map<Role, number[]>()
  for (const { open } of learnt) {
    const own = new Map<Role, number>()
    for (const { role, seconds } of open) own.set(role, (own.get(role) ?? 0) + seconds)
    for (const [role, seconds] of own) roles.set(role, [...(roles.get(role) ?? []), seconds])
  }
  const falls = learnt.filter(({ recoveries }) => recoveries.length > 0).map(({ recoveries }) => median(recoveries))
  return {
    open: [...roles].flatMap(([role, seconds]) =>
      seconds.length < fewest ? [] : [{ role, seconds: Math.round(median(seconds)), recordings: seconds.length }],
    ),
    recovery: falls.length < fewest ? null : { beats: Math.round(median(falls)), recordings: falls.length },
  }
}
