import type { Edit } from '~~/core/edit/edit'
import type { QuietProposal } from '~~/core/forecast/quiet'

/** The edits that give every row its quiet band that can be given one. */
export const quietEdits = (quiet: QuietProposal | null): Edit[] =>
  (quiet?.steps ?? []).flatMap(({ path, target, words }) => (target === null ? [] : [{ do: 'target' as const, at: path, words }]))
