import { isolateHistory } from '@codemirror/commands'
import type { EditorView } from '@codemirror/view'
import { changeBetween } from '~~/core/edit/retext'
import type { Remark } from '~~/core/script/remark'

/** Puts a fix in the place of the words that a remark is about. */
export function replaceRemark(view: EditorView, remark: Remark, replacement: string): void {
  const from = view.state.doc.line(remark.line).from + remark.column - 1
  view.dispatch({
    changes: { from, to: from + remark.length, insert: replacement },
    selection: { anchor: from },
    scrollIntoView: true,
    userEvent: 'input.fix',
  })
  view.focus()
}

/** Puts the caret into a line. */
export function showLine(view: EditorView, line: number): void {
  view.dispatch({ selection: { anchor: view.state.doc.line(Math.min(line, view.state.doc.lines)).from }, scrollIntoView: true })
  view.focus()
}

/** Puts a whole other wording on the desk, as one change that can be undone. */
export function rewrite(view: EditorView, text: string): void {
  view.dispatch({
    changes: changeBetween(view.state.doc.toString(), text),
    annotations: isolateHistory.of('full'),
    userEvent: 'input.rewrite',
  })
}

const headerName = (line: string) => /^(?:title|sport|place|day|ceiling|prompt)\b/.exec(line)?.[0]

/**
 * A text with further words in it: a header behind the headers that stand there, in the place of one that it would stand
 * twice with; rows at the end.
 */
export function withWords(text: string, words: string): string {
  const lines = text.trimEnd().split('\n')
  const end = lines.findIndex(line => !headerName(line))
  const [headers, rows] = end < 0 ? [lines, []] : [lines.slice(0, end), lines.slice(end)]
  const name = headerName(words)
  const kept = headers.filter(line => name === undefined || name === 'prompt' || headerName(line) !== name)
  const body = rows.join('\n').trim() === '' ? [] : rows
  const parted = body.length > 0 && body[0]!.trim() !== '' ? ['', ...body] : body
  if (name !== undefined) return [...kept, words, ...parted, ''].join('\n')
  const isAlone = headers.length > 0 && body.length === 0
  return [...headers, ...(isAlone ? [''] : []), ...(headers.length > 0 ? parted : body), words, ''].join('\n')
}
