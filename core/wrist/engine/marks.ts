/** What a watch notes at an instant of a recording. */
export const markKinds = ['step', 'lap', 'press', 'skip', 'back', 'jump', 'pause', 'resume', 'nudge', 'ceiling', 'prompt', 'stop'] as const
export type MarkKind = (typeof markKinds)[number]

export interface Mark {
  /** Elapsed seconds, pauses included. */
  t: number
  kind: MarkKind
  path?: string
  round?: number[]
}
