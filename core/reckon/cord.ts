import { isOpenEnd } from '../session/ends'
import { sportAt } from '../session/item-path'
import type { Block, Item, Leg, Session, SessionSport, Step } from '../session/document'
import { isRecoveryRole } from '../session/recovery'
import { usualShare } from '../athlete/usual-share'
import type { Standpoint } from '../athlete/standpoint'
import type { ReckonedStep, Reckoning } from './reckon'
import { effortOf } from './sheet'

/**
 * A stretch of a cord: `knot` is work above steady, `line` easy running, warm-up and cool-down, `bare` a recovery or rest, and
 * `ring` parts two sports. Seconds as likely; the effort of a knot in percent of critical, null where nothing tells it.
 */
export interface CordPart {
  kind: 'knot' | 'line' | 'bare' | 'ring'
  seconds: number
  effort?: number | null
  /** Of one that was done: the share of it inside its band. */
  held?: number
  /** It ends by a press or a heart rate: nobody knows when. */
  isOpen?: true
}

/** A repeat's hold on the parts from one to another, both inclusive; outer ones are deeper. */
export interface CordBracket {
  from: number
  to: number
  words: string
  depth: number
}

/** A session where there is no room for its sheet, in its order. */
export interface Cord {
  parts: CordPart[]
  brackets: CordBracket[]
}

/** Work below this percent of critical is steady or easier, and makes no knot. */
const knotFrom = 84
/** A cord of more parts than this shows one round of each repeat, its bracket the count. */
export const mostParts = 120
/** Where nothing tells how long a step takes. */
const unknownSeconds = 60

/** The effort of a step for its knot, in whole percent: that of its target, else what is usual for a stride. */
export function knotEffort(
  told: number | null,
  step: Pick<Step, 'role' | 'manner'>,
  standpoint: Standpoint,
  sport: SessionSport,
): number | null {
  if (told !== null) return Math.round(told)
  return step.manner === 'stride' && sport !== 'multi' ? Math.round(usualShare(step, standpoint, sport) * 100) : null
}

/** What a step makes of a cord, by its effort in percent of critical where that is known. */
export function partKind({ role, manner }: Pick<Step, 'role' | 'manner'>, effort: number | null): 'knot' | 'line' | 'bare' {
  if (isRecoveryRole(role)) return 'bare'
  const isEasy = effort === null ? manner === 'jog' || manner === 'walk' : effort < knotFrom
  return role !== 'work' || isEasy ? 'line' : 'knot'
}

function partOf(step: Step, entry: ReckonedStep, session: Session, standpoint: Standpoint): CordPart {
  const seconds = Math.round(entry.seconds.likely ?? unknownSeconds)
  const open = isOpenEnd(step.end) ? { isOpen: true as const } : {}
  const effort = knotEffort(effortOf(entry, session, standpoint), step, standpoint, sportAt(session, entry.path))
  const kind = partKind(step, effort)
  return { kind, seconds, ...(kind === 'knot' ? { effort } : {}), ...open }
}

const countOf = ({ repeat }: Block): string => ('times' in repeat && repeat.times !== undefined ? `${repeat.times}` : '⟳')

/** Draws the parts of a session's flat steps together, and holds each repeat by a bracket. */
class Drawing {
  readonly parts: CordPart[] = []
  readonly brackets: CordBracket[] = []
  private at = 0

  constructor(
    private readonly session: Session,
    private readonly flat: readonly ReckonedStep[],
    private readonly standpoint: Standpoint,
    private readonly isShort: boolean,
  ) {}

  /** Everything below a path, for the entries that follow; the rounds of a block as they come. */
  under(items: readonly Item[], prefix: string, depth: number): void {
    items.forEach((item, index) => {
      const path = `${prefix}${index + 1}`
      if (item.kind === 'leg') this.leg(item, path, depth)
      else if (item.kind === 'block' && !item.off) this.block(item, path, depth)
      else if (item.kind === 'step' && !item.off) this.step(item, path)
    })
  }

  private leg(leg: Leg, path: string, depth: number): void {
    if (this.parts.length > 0) this.parts.push({ kind: 'ring', seconds: 0 })
    this.under(leg.items, `${path}.`, depth)
  }

  private block(block: Block, path: string, depth: number): void {
    const from = this.parts.length
    const isOwn = () => this.flat[this.at]?.path.startsWith(`${path}.`) === true
    const round = () => this.flat[this.at]!.round[depth]
    const shown = this.parts.length
    while (isOwn()) {
      const own = round()
      const began = this.at
      this.under(block.items, `${path}.`, depth + 1)
      while (isOwn() && round() === own) this.at++
      if (this.at === began) break
      if (this.isShort) {
        while (isOwn()) this.at++
        break
      }
    }
    if (this.parts.length > shown) this.brackets.push({ from, to: this.parts.length - 1, words: countOf(block), depth })
  }

  private step(step: Step, path: string): void {
    const entry = this.flat[this.at]
    if (entry?.path !== path) return
    this.at++
    this.parts.push(partOf(step, entry, this.session, this.standpoint))
  }
}

/**
 * A session as a cord: what there is of it, in order, with its repeats.
 *
 * @param reckoning of the same session and athlete
 * @returns at most about 120 parts: a longer one shows one round of each repeat
 */
export function cordOf(session: Session, { flat }: Reckoning, standpoint: Standpoint): Cord {
  const drawn = (isShort: boolean) => {
    const drawing = new Drawing(session, flat, standpoint, isShort)
    drawing.under(session.items, '', 0)
    return { parts: drawing.parts, brackets: drawing.brackets }
  }
  const whole = flat.length <= mostParts ? drawn(false) : drawn(true)
  return { parts: whole.parts.slice(0, mostParts), brackets: whole.brackets.filter(({ from }) => from < mostParts) }
}
