import type { Prompt } from '../session/document'
import type { Mark } from '../wrist/engine/marks'

/** A prompt as it was said: its words, and at which second of elapsed time. */
export interface SaidPrompt {
  t: number
  say: string
}

/** How far a moment of moving time is from the nearest at which a prompt is due, in seconds. */
function distanceFrom({ from, every, count }: Prompt, moving: number): number {
  const nearest = Math.max(0, Math.round((moving - from) / every))
  return Math.abs(from + Math.min(nearest, count === undefined ? nearest : count - 1) * every - moving)
}

/**
 * Which prompts a recording says were given, and when.
 *
 * @param prompts of the program, in moving time
 * @param marks of the recording, in elapsed time; pauses are taken off
 */
export function promptsSaid(prompts: readonly Prompt[], marks: readonly Mark[]): SaidPrompt[] {
  const said: SaidPrompt[] = []
  let paused = 0
  let pausedAt: number | null = null
  for (const { kind, t } of marks) {
    if (kind === 'pause') pausedAt ??= t
    if (kind === 'resume' && pausedAt !== null) {
      paused += t - pausedAt
      pausedAt = null
    }
    if (kind !== 'prompt' || prompts.length === 0) continue
    const [nearest] = [...prompts].sort((a, b) => distanceFrom(a, t - paused) - distanceFrom(b, t - paused))
    said.push({ t, say: nearest!.say })
  }
  return said
}
