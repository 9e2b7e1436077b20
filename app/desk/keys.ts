import { defaultKeymap, history, historyKeymap, indentLess, indentMore, redo } from '@codemirror/commands'
import { indentService, indentUnit } from '@codemirror/language'
import { EditorState, Prec } from '@codemirror/state'
import type { Extension } from '@codemirror/state'
import type { Command } from '@codemirror/view'
import { EditorView, keymap } from '@codemirror/view'
import { isAltKey } from '~/keys/alt-key'
import { deskKey } from './desk-keys'
import { keyedRemark } from './remarks'
import { sheetField } from './sheet'
import { deskKeys as texts } from '~/texts/en'

const opensBlock = /^\s*(?:off\s+)?(?:(?:\d+\s*(?:times|x|rounds|sets)\b)|repeat for\b|leg\b).*$/i
const hasBody = /[,:]?\s*(?:drop|stop|ceiling|place|#|\?\{|$)/i

/** A new line keeps its row's indent, and goes one deeper under a row that opens a repeat. */
const rowIndent = indentService.of((context, position) => {
  const line = context.lineAt(position, -1)
  const own = /^ */.exec(line.text)![0].length
  const head = /^\s*(?:off\s+)?(?:\d+ times|repeat for \S+(?: \w+)?|leg \w+)/i.exec(line.text)
  return head &&
    opensBlock.test(line.text) &&
    hasBody.test(line.text.slice(head[0].length)) &&
    !/\d/.test(line.text.slice(head[0].length).replace(/lane \d|pool \d+|after \d+|ceiling \d+/g, ''))
    ? own + 2
    : own
})

/** Takes the first fix of the caret's row; the undo history brings the words back. */
function takeFix(view: EditorView): boolean {
  const { main } = view.state.selection
  const line = view.state.doc.lineAt(main.head)
  const remarks = view.state.field(sheetField).data.lines.get(line.number)?.remarks ?? []
  const remark = keyedRemark(remarks)
  if (!remark) return false
  const from = line.from + remark.column - 1
  view.dispatch({ changes: { from, to: from + remark.length, insert: remark.fixes[0]!.replacement }, userEvent: 'input.fix' })
  return true
}

/** Carries an indent out and says how deep the row stands then. */
const told =
  (indent: Command): Command =>
  view => {
    const done = indent(view)
    const line = view.state.doc.lineAt(view.state.selection.main.head)
    const depth = /^ */.exec(line.text)![0].length / 2
    view.dispatch({ effects: EditorView.announce.of(depth === 0 ? texts.inNoRepeat : `in ${depth} ${depth === 1 ? 'repeat' : 'repeats'}`) })
    return done
  }

/** Its guesses and corrections hang on the words that the browser itself holds. */
const isTouchKeyboard = /Android|iPhone|iPad/.test(navigator.userAgent)

/**
 * Plain typing goes straight into the document: the browser need not edit its own copy of the words first, to have it
 * read back and laid out a second time. What an input method composes or replaces is left to the browser.
 */
const directTyping = EditorView.domEventHandlers({
  beforeinput(event, view) {
    if (
      event.inputType !== 'insertText' ||
      event.data === null ||
      event.isComposing ||
      view.composing ||
      view.state.readOnly ||
      isTouchKeyboard
    )
      return false
    event.preventDefault()
    view.dispatch(view.state.replaceSelection(event.data), { userEvent: 'input.type', scrollIntoView: true })
    return true
  },
})

const ownKeys = { fix: takeFix, deeper: told(indentMore), out: told(indentLess) }

/** Keys that go by their place on the keyboard. */
const altKeys = Prec.high(
  EditorView.domEventHandlers({
    keydown(event, view) {
      const name = (['fix', 'deeper', 'out'] as const).find(one => isAltKey(event, deskKey(one)))
      if (!name) return false
      event.preventDefault()
      ownKeys[name](view)
      return true
    },
  }),
)

export const sheetKeys: Extension = [
  altKeys,
  directTyping,
  history({ minDepth: 1_000_000 }),
  rowIndent,
  indentUnit.of('  '),
  EditorState.tabSize.of(2),
  keymap.of([{ key: 'Mod-Shift-z', run: redo }, ...historyKeymap, ...defaultKeymap]),
]
