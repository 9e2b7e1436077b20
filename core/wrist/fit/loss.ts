import type { Session, Step, PlaceOfSession, Sport } from '../../session/document'
import type { Standpoint } from '../../athlete/standpoint'
import { reckon } from '../../reckon/reckon'
import type { WatchProfile } from '../program/profile'

export type LossKind = 'doubt' | 'end' | 'target' | 'also' | 'ceiling' | 'nesting' | 'steps' | 'name' | 'sport' | 'repeat' | 'unread'

/** Another way for something a watch cannot do, by a short name, and what it comes to here. */
export interface Way {
  way: string
  instead: string
}

/** Something of the session that this watch does not carry as written, and what is used instead. */
export interface Loss {
  path?: string
  kind: LossKind
  what: string
  /** What is used instead; null when nothing serves, or the athlete has refused it, and the program does not fit. */
  instead: string | null
  /** The way taken, of the ways there are; absent where there is no choice. */
  way?: string
  ways?: Way[]
  /** What a standing choice would be about: the same loss in any session, `target pace run treadmill`. */
  about?: string
}

/** The athlete's choices: for one row of this session by `lossKey`, or for every loss of a sort by its `about`. */
export interface LossChoices {
  here?: Readonly<Record<string, string>>
  standing?: Readonly<Record<string, string>>
}

/** The way that takes no substitute: the session then does not fit this watch. */
export const refusal = 'refuse'

export const lossKey = ({ path, kind }: Pick<Loss, 'path' | 'kind'>): string => `${path ?? ''} ${kind}`

/** What is likely of a step: how long it takes and how far it leads. */
export interface Likely {
  seconds: number | null
  metres: number | null
  swimSeconds: number | null
}

export interface FitContext {
  standpoint: Standpoint
  profile: WatchProfile
  losses: Loss[]
  sport: Sport
  place?: PlaceOfSession
  /** Legs have places of their own, which their steps then carry. */
  isLeg: boolean
  ceilings: NonNullable<Step['ceiling']>[]
  choices: LossChoices
  likely: (path: string) => Likely
  /** Rounds a repeat until a distance or time likely comes to; null where nobody can tell. */
  likelyRounds: (path: string, measure: 'metres' | 'seconds') => number | null
}

/** What is likely of every step of a session, reckoned when first asked. */
export function likelihoods(session: Session, standpoint: Standpoint): Pick<FitContext, 'likely' | 'likelyRounds'> {
  let flat: ReturnType<typeof reckon>['flat'] | null = null
  const steps = () => (flat ??= reckon(session, standpoint).flat)
  return {
    likely: path => {
      const step = steps().find(entry => entry.path === path)
      return { seconds: step?.seconds.likely ?? null, metres: step?.metres.likely ?? null, swimSeconds: step?.swimSeconds?.likely ?? null }
    },
    likelyRounds: (path, measure) => {
      const depth = path.split('.').length
      const within = steps().filter(entry => entry.path.startsWith(`${path}.`))
      if (within.some(entry => entry[measure].likely === null)) return null
      const blocksAround = (entry: { path: string; round: number[] }) => entry.round.length - (entry.path.split('.').length - 1 - depth)
      const rounds = within.map(entry => entry.round[blocksAround(entry) - 1] ?? 0)
      return rounds.length === 0 ? null : Math.max(...rounds)
    },
  }
}

interface Said {
  path?: string
  kind: LossKind
  what: string
  about?: string
}

/**
 * Writes a loss down with the way that is taken: the athlete's choice for this row, else the standing one, else the first.
 *
 * @param hasDefault false where no way may be taken without being asked for
 * @returns the way taken, or null where none is
 */
export function lose(context: Pick<FitContext, 'losses' | 'choices'>, said: Said, ways: readonly Way[], hasDefault = true): string | null {
  const { here = {}, standing = {} } = context.choices
  const wanted = here[lossKey(said)] ?? (said.about === undefined ? undefined : standing[said.about])
  const taken = wanted === refusal ? null : (ways.find(entry => entry.way === wanted) ?? (hasDefault ? ways[0] : undefined) ?? null)
  context.losses.push({
    ...(said.path === undefined ? {} : { path: said.path }),
    kind: said.kind,
    what: said.what,
    instead: taken?.instead ?? null,
    ...(ways.length > 0 ? { way: taken?.way ?? refusal, ways: [...ways] } : {}),
    ...(said.about === undefined || ways.length === 0 ? {} : { about: said.about }),
  })
  return taken?.way ?? null
}
