import type { EditorState } from '@codemirror/state'
import { StateEffect, StateField } from '@codemirror/state'
import { sheetField } from './sheet'

/** Takes a row into the hand, by its path: chosen with the pointer or left there by an edit. */
export const takeRow = StateEffect.define<string | null>()

/** The row that was taken; the caret alone cannot tell the rows of a shorthand line apart. It is let go when the caret moves. */
export const takenRow = StateField.define<string | null>({
  create: () => null,
  update(taken, transaction) {
    for (const effect of transaction.effects) if (effect.is(takeRow)) return effect.value
    return transaction.selection && !transaction.docChanged ? null : taken
  },
})

/** The path of the row in hand: the one that was taken, else the row at the caret; null where there is none. */
export function rowInHand(state: EditorState): string | null {
  const { data } = state.field(sheetField)
  const taken = state.field(takenRow)
  if (taken !== null && data.rows.has(taken)) return taken
  const line = state.doc.lineAt(state.selection.main.head).number
  return data.lines.get(line)?.rows[0]?.row.path ?? null
}
