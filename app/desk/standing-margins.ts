import type { Extension } from '@codemirror/state'
import type { EditorView, PluginValue, ViewUpdate } from '@codemirror/view'
import { ViewPlugin } from '@codemirror/view'
import { writeMargins } from './marks'
import { sheetField } from './sheet'

/** Out of sight can wait, but not for long: the sheet may be scrolled at any time. */
const outOfSightAtLatest = 200

const whenIdle = (work: () => void) =>
  'requestIdleCallback' in window ? window.requestIdleCallback(work, { timeout: outOfSightAtLatest }) : setTimeout(work, outOfSightAtLatest)

/**
 * Keeps right what the margins of the standing rows say, once the columns have settled which rows these are: those in
 * sight with the words that changed them, the others as soon as nothing else is to be done.
 */
class StandingMargins implements PluginValue {
  /** Positions in the document; all of it until it was measured. */
  private inSight = { from: 0, to: Number.MAX_SAFE_INTEGER }
  private isWaiting = false
  private isGone = false
  private readonly measure = {
    key: this,
    read: (view: EditorView) => {
      const box = view.dom.parentElement!.getBoundingClientRect()
      const [top, bottom] = [Math.max(0, box.top), Math.min(window.innerHeight, box.bottom)]
      return { from: view.lineBlockAtHeight(top - view.documentTop).from, to: view.lineBlockAtHeight(bottom - view.documentTop).to }
    },
    write: (inSight: { from: number; to: number }) => {
      this.inSight = inSight
    },
  }

  private readonly scrolled = () => this.view.requestMeasure(this.measure)

  constructor(private readonly view: EditorView) {
    window.addEventListener('scroll', this.scrolled, { capture: true, passive: true })
    this.scrolled()
  }

  update({ view, startState, state, changes, docChanged, geometryChanged }: ViewUpdate) {
    if (docChanged)
      this.inSight = {
        from: changes.mapPos(Math.min(this.inSight.from, startState.doc.length), -1),
        to: changes.mapPos(Math.min(this.inSight.to, startState.doc.length), 1),
      }
    if (geometryChanged) view.requestMeasure(this.measure)
    const { data } = state.field(sheetField)
    if (data === startState.field(sheetField).data) return
    const inSight = new Set<string>()
    const last = state.doc.lineAt(Math.min(this.inSight.to, state.doc.length)).number
    for (let line = state.doc.lineAt(this.inSight.from).number; line <= last; line++) {
      for (const { row } of data.lines.get(line)?.rows ?? []) inSight.add(row.path)
    }
    writeMargins(view.dom, data.rows, path => inSight.has(path))
    if (this.isWaiting) return
    this.isWaiting = true
    whenIdle(() => {
      this.isWaiting = false
      if (!this.isGone) writeMargins(this.view.dom, this.view.state.field(sheetField).data.rows)
    })
  }

  destroy() {
    this.isGone = true
    window.removeEventListener('scroll', this.scrolled, { capture: true })
  }
}

export const standingMargins: Extension = ViewPlugin.fromClass(StandingMargins)
