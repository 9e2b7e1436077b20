import type { Edit } from '../edit/edit'

export type SuggestionCode =
  | 'needless-last-recovery'
  | 'two-recoveries'
  | 'narrow-band'
  | 'beyond-shown'
  | 'implausible'
  | 'mixed-units'
  | 'press-in-block'
  | 'no-easy-after'
  | 'no-warm-up'
  | 'over-time'

/** Something worth a thought about a session that reads well, with what would change it. */
export interface Suggestion {
  code: SuggestionCode
  /** The row it is about; null for the session as a whole. */
  path: string | null
  message: string
  fixes: { label: string; edits: Edit[] }[]
  /** Names this suggestion in this session: it stays dismissed while the row says the same. */
  key: string
}

/** An advice before it is keyed. */
export type UnkeyedSuggestion = Omit<Suggestion, 'key'>
