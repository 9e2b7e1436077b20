import { isolateHistory } from '@codemirror/commands'
import type { EditorView } from '@codemirror/view'
import type { Standpoint } from '~~/core/athlete/standpoint'
import type { Edit } from '~~/core/edit/edit'
import { apply } from '~~/core/edit/edit'
import { changeBetween, retext } from '~~/core/edit/retext'
import type { ReadResult } from '~~/core/script/reader/read-script'
import { sayRefusal } from '~~/core/words/refusals'
import { rowInHand, takeRow } from './row-in-hand'
import { deskCarryOut as texts } from '~/texts/en'

/** What edits of the session on the desk go by. */
export interface EditContext {
  reading: () => ReadResult
  read: (text: string) => ReadResult
  standpoint: () => Standpoint
  placeOf: (path: string) => { line: number; column: number } | undefined
}

const isAbout = (edit: Edit, path: string | null) =>
  (edit.do === 'repeat' || edit.do === 'drop-last') && path !== null && path.startsWith(`${edit.at}.`)

/**
 * Carries edits of the session out on the words, as one change that can be undone; the row that the last of them leaves is
 * then in hand.
 *
 * @returns why they do not fit, or null where they did
 */
export function carryOut(view: EditorView, edits: readonly Edit[], context: EditContext): string | null {
  const reading = context.reading()
  if (reading.sessions.length !== 1) return texts.theTextHoldsSeveral
  const text = view.state.doc.toString()
  const before = rowInHand(view.state)
  let session = reading.sessions[0]!
  let left: string | null = null
  for (const edit of edits) {
    const result = apply(session, edit, context.standpoint())
    if (!result.ok) return sayRefusal(result.refusal)
    session = result.session
    left = result.select
  }
  if (isAbout(edits.at(-1)!, before)) left = before
  view.dispatch({
    changes: changeBetween(text, retext(text, reading, session, context.read)),
    effects: takeRow.of(left),
    userEvent: 'input.edit',
    annotations: isolateHistory.of('full'),
    scrollIntoView: true,
  })
  const place = left === null ? undefined : context.placeOf(left)
  if (place)
    view.dispatch({
      selection: { anchor: view.state.doc.line(place.line).from + place.column - 1 },
      effects: takeRow.of(left),
      scrollIntoView: true,
    })
  return null
}
