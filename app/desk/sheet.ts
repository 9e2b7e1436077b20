import type { Extension, Range } from '@codemirror/state'
import { RangeSet, StateEffect, StateField } from '@codemirror/state'
import type { DecorationSet, ViewUpdate } from '@codemirror/view'
import { Decoration, EditorView, gutter, ViewPlugin, WidgetType } from '@codemirror/view'
import type { SheetRow } from '~~/core/reckon/sheet'
import type { Remark } from '~~/core/script/remark'
import type { Column } from './marks'
import { MarginMarker } from './marks'
import type { MarginRow, SheetData, SheetLine } from './lines'
import { emptySheet, growth } from './lines'
import { isQuestion, QuestionWidget } from './questions'

/**
 * Sets what stands beside the lines; sent after each reading of the text. The line that is being typed keeps its height
 * until typing pauses, so that the rows below it do not jump at every digit.
 */
export const setSheet = StateEffect.define<{ data: SheetData; typedLine: number | null }>()

/** Lets the line that was typed take the height of what it says. */
const settleHeight = StateEffect.define<null>()

/** The rows that a shorthand line was read as, below it, as the canonical script would have them. */
class PreviewWidget extends WidgetType {
  private readonly shown: string

  constructor(readonly rows: readonly MarginRow[]) {
    super()
    this.shown = rows.map(({ row }) => `${row.path} ${row.kind} ${row.depth} ${row.off} ${row.words}`).join('\n')
  }

  override eq(other: WidgetType) {
    return other instanceof PreviewWidget && other.shown === this.shown
  }

  override toDOM() {
    const stack = document.createElement('div')
    stack.className = 'sheet-preview'
    for (const { row } of this.rows) {
      const line = document.createElement('div')
      line.className = `sheet-stack-row ${row.kind}${row.off ? ' off' : ''}`
      line.textContent = row.words
      line.title = row.words
      line.style.paddingLeft = `${8 + row.depth * 20}px`
      line.dataset.path = row.path
      stack.append(line)
    }
    return stack
  }

  override get estimatedHeight() {
    return this.rows.length * 30
  }
}

const lineLooks = new Map<string, Decoration[]>()

/** The look of a line by its extra height in pixels and classes: there are few, and the same object need not be compared. */
function lineLook(grow: number, classes: string): Decoration {
  const known = lineLooks.get(classes) ?? []
  lineLooks.set(classes, known)
  return (known[grow] ??= Decoration.line({ class: `sheet-grow-${grow}${classes}` }))
}

function classesOf(single: SheetRow | undefined, remarks: readonly Remark[]): string {
  const kind = single?.kind === 'block' ? ' sheet-block' : ''
  const off = single?.off ? ' sheet-off' : ''
  const error = remarks.length > 0 && remarks.some(remark => remark.level === 'error') ? ' sheet-error' : ''
  return `${kind}${off}${error}`
}

const tidy = (text: string) => text.trim().replace(/\s+#.*$/, '')

/** A line that keeps its extra height in pixels. */
interface HeldLine {
  line: number
  grow: number
}

function growOf(line: SheetLine | undefined): number {
  const single = line?.rows.length === 1 ? line.rows[0]!.row : undefined
  return single?.kind === 'step' ? growth(single.seconds) : 0
}

function decorate(data: SheetData, doc: EditorView['state']['doc'], held: HeldLine | null): DecorationSet {
  const found: Range<Decoration>[] = []
  for (const [number, line] of data.lines) {
    if (number > doc.lines) continue
    const { from, to, text } = doc.line(number)
    const first = line.rows[0]?.row
    const single = line.rows.length === 1 ? first : undefined
    found.push(lineLook(held?.line === number ? held.grow : growOf(line), classesOf(single, line.remarks)).range(from))
    for (const remark of line.remarks) {
      const [start, end] = [from + remark.column - 1, from + remark.column - 1 + remark.length]
      if (remark.level !== 'note' && end > start && end <= to)
        found.push(Decoration.mark({ class: `sheet-said-${remark.level}` }).range(start, end))
    }
    const isRead = single?.kind === 'step' && text.trimStart() !== single.words && tidy(text) !== tidy(single.words)
    const questions = held?.line === number ? [] : line.remarks.filter(isQuestion)
    for (const remark of questions) found.push(Decoration.widget({ widget: new QuestionWidget(remark), block: true, side: 2 }).range(to))
    if (line.isPreview || isRead) found.push(Decoration.widget({ widget: new PreviewWidget(line.rows), block: true, side: 1 }).range(to))
  }
  return Decoration.set(found, true)
}

interface Sheet {
  data: SheetData
  held: HeldLine | null
  decorations: DecorationSet
}

const heldAt = (line: number, before: Sheet): HeldLine =>
  before.held?.line === line ? before.held : { line, grow: growOf(before.data.lines.get(line)) }

export const sheetField = StateField.define<Sheet>({
  create: () => ({ data: emptySheet, held: null, decorations: Decoration.none }),
  update(sheet, transaction) {
    const { doc } = transaction.state
    for (const effect of transaction.effects) {
      if (effect.is(setSheet)) {
        const { data, typedLine } = effect.value
        const held = typedLine === null ? null : heldAt(typedLine, sheet)
        return { data, held, decorations: decorate(data, doc, held) }
      }
      if (effect.is(settleHeight)) return { ...sheet, held: null, decorations: decorate(sheet.data, doc, null) }
    }
    return transaction.docChanged ? { ...sheet, decorations: sheet.decorations.map(transaction.changes) } : sheet
  },
  provide: field => EditorView.decorations.from(field, sheet => sheet.decorations),
})

const settleAfter = 400

const settlingHeights = ViewPlugin.fromClass(
  class {
    private timer: ReturnType<typeof setTimeout> | undefined

    constructor(private readonly view: EditorView) {}

    update({ state }: ViewUpdate) {
      clearTimeout(this.timer)
      if (state.field(sheetField).held) this.timer = setTimeout(() => this.view.dispatch({ effects: settleHeight.of(null) }), settleAfter)
    }

    destroy() {
      clearTimeout(this.timer)
    }
  },
)

function column(side: Column): Extension {
  return gutter({
    class: `sheet-column-${side}`,
    side,
    renderEmptyElements: true,
    lineMarker(view, block) {
      const line = view.state.field(sheetField).data.lines.get(view.state.doc.lineAt(block.from).number)
      return line?.rows.length === 1 ? new MarginMarker(side, line.rows, false) : null
    },
    widgetMarker(view, widget, block) {
      if (!(widget instanceof PreviewWidget)) return null
      const line = view.state.field(sheetField).data.lines.get(view.state.doc.lineAt(block.from).number)
      return line && line.rows.length > 1 ? new MarginMarker(side, widget.rows, true) : null
    },
    lineMarkerChange: update => update.startState.field(sheetField).data !== update.state.field(sheetField).data,
    markers: () => RangeSet.empty,
  })
}

/** The margins of the sheet on both sides of the words. */
export const sheetColumns: Extension = [sheetField, settlingHeights, column('before'), column('after')]
