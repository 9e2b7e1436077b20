import type { Mark, MarkKind } from '../wrist/engine/marks'
import { markKinds } from '../wrist/engine/marks'

/** A round of no repeats is a dash, so that it is not taken for none said. */
export const sayMark = ({ t, kind, path, round }: Mark) =>
  [`${kind}@${t}`, path ?? '', round && (round.join('.') || '-')].join(' ').trimEnd()
const markPattern = new RegExp(`^(${markKinds.join('|')})@(\\d+(?:\\.\\d+)?)(?: ([\\d.]*)(?: (-|[\\d.]+))?)?$`)

export function readMark(words: string): Mark | null {
  const match = markPattern.exec(words.trim())
  if (!match) return null
  const [, kind, t, path, round] = match
  return {
    t: Number(t),
    kind: kind as MarkKind,
    ...(path ? { path } : {}),
    ...(round ? { round: round === '-' ? [] : round.split('.').map(Number) } : {}),
  }
}
