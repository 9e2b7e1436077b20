import type { Draft, Part } from './draft'
import { saidBy } from './work'
import type { Work } from './work'

type StepPart = Part & { part: 'step' }
const isStepPart = (part: Part): part is StepPart => part.part === 'step'

/** The one distance of a draft as the number that was said. */
function distanceOf({ lengths }: Draft): number | null {
  const [length] = lengths ?? []
  if (lengths?.length !== 1 || !length) return null
  if ('bare' in length) return length.bare
  return length.end.on === 'distance' ? length.end.value : null
}

const isPlain = (draft: Draft) => draft.role === undefined && draft.share === undefined && draft.portion === undefined && !draft.easy

/**
 * `8 x 50 25 fast 25 easy on 1:00`: lengths that follow theirs without a sign and come to it say how it is covered. They become
 * its note; a clock or a target behind the last of them is for the whole.
 */
export function foldParts(work: Work, parts: Part[]): Part[] {
  const from = parts.findIndex(isStepPart)
  const whole = parts[from]
  const inner = parts.slice(from + 1)
  if (!parts.slice(0, Math.max(from, 0)).some(({ part }) => part === 'count')) return parts
  if (!whole || !isStepPart(whole) || inner.length < 2 || !inner.every(isStepPart)) return parts
  const drafts = inner.map(({ draft }) => draft)
  const length = distanceOf(whole.draft)
  const shares = drafts.map(distanceOf)
  if (length === null || shares.some(share => share === null || share >= length) || !drafts.every(isPlain) || whole.draft.target)
    return parts
  if (shares.reduce<number>((sum, share) => sum + share!, 0) !== length) return parts
  const last = drafts.at(-1)!
  const own = drafts.flatMap(draft =>
    draft.tokens.filter(({ is }) => is !== 'clock' && is !== 'send-off' && is !== 'target' && is !== 'at'),
  )
  const { clock, sendOff, target } = last
  const draft: Draft = {
    ...whole.draft,
    ...(clock ? { clock } : {}),
    ...(sendOff ? { sendOff } : {}),
    ...(target ? { target } : {}),
    notes: [...whole.draft.notes, saidBy(work, own)],
    tokens: [...whole.draft.tokens, ...drafts.flatMap(({ tokens }) => tokens)],
  }
  return [...parts.slice(0, from), { part: 'step', draft }]
}
