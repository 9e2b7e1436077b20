import { foldGutter, foldService } from '@codemirror/language'
import type { Extension } from '@codemirror/state'
import { Compartment } from '@codemirror/state'
import { hoverTooltip, ViewPlugin } from '@codemirror/view'
import type { OwnSession } from './completion'
import { highlighting } from './highlight'
import { sheetField } from './sheet'

/** Rows that stand deeper than a line fold into it. */
const foldRows = foldService.of((state, from, to) => {
  const own = state.doc.lineAt(from)
  const indent = /^ */.exec(own.text)![0].length
  let last = own
  for (let number = own.number + 1; number <= state.doc.lines; number++) {
    const line = state.doc.line(number)
    if (line.text.trim() === '') continue
    if (/^ */.exec(line.text)![0].length <= indent) break
    last = line
  }
  return last.number > own.number ? { from: to, to: last.to } : null
})

/** What the words under the pointer read as, in words. */
const readingOnHover = hoverTooltip((view, position) => {
  const line = view.state.doc.lineAt(position)
  const rows = view.state.field(sheetField).data.lines.get(line.number)?.rows ?? []
  const [first] = rows
  if (!first) return null
  return {
    pos: line.from,
    end: line.to,
    above: true,
    create() {
      const dom = document.createElement('div')
      dom.className = 'sheet-hover'
      dom.textContent = view.state.field(sheetField).data.say(first.row.path)
      return { dom }
    },
  }
})

/** Offers come once the sheet stands: its words do not wait for them. */
function completionsSoon(own: () => readonly OwnSession[]): Extension {
  const place = new Compartment()
  const bringing = ViewPlugin.define(view => {
    let isGone = false
    void import('./completion').then(({ completions }) => {
      if (!isGone) view.dispatch({ effects: place.reconfigure(completions(own)) })
    })
    return { destroy: () => (isGone = true) }
  })
  return [place.of([]), bringing]
}

/** Words of the script: their look, what may come next, what they fold into and what they say. */
export const scriptLanguage = (own: () => readonly OwnSession[]): Extension => [
  highlighting,
  foldRows,
  foldGutter({ openText: '⌄', closedText: '›' }),
  readingOnHover,
  completionsSoon(own),
]
