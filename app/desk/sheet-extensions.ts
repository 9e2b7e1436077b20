import type { Extension } from '@codemirror/state'
import { Prec } from '@codemirror/state'
import { EditorView, highlightActiveLine, highlightActiveLineGutter, placeholder, tooltips } from '@codemirror/view'
import type { Standpoint } from '~~/core/athlete/standpoint'
import type { Edit } from '~~/core/edit/edit'
import { stretchTarget } from '~~/core/edit/stretch'
import { printTarget } from '~~/core/script/print-target'
import { storable } from '~~/core/quantity/storable'
import type { Remark } from '~~/core/script/remark'
import { readScript } from '~~/core/script/reader/read-script'
import type { Session } from '~~/core/session/document'
import { itemAt, sportAt } from '~~/core/session/item-path'
import { rowDragging } from './drag'
import { sheetKeys } from './keys'
import type { OwnSession } from './completion'
import { scriptLanguage } from './language'
import { isAltKey } from '~/keys/alt-key'
import { rowActions } from './row-keys'
import { rowInHand, takenRow } from './row-in-hand'
import { answering } from './questions'
import { sheetColumns } from './sheet'
import { standingMargins } from './standing-margins'
import type { StringEnd } from './string-drag'
import { stringDragging } from './string-drag'
import { deskSheetExtensions as texts } from '~/texts/en'

/** What the sheet asks and tells of what is done on it. */
export interface SheetHost {
  own: () => OwnSession[]
  /** Where what may come next is offered: beside the rows, never over them. */
  offers: HTMLElement
  session: () => Session | null
  standpoint: () => Standpoint
  edit: (edit: Edit) => void
  answer: (remark: Remark, replacement: string) => void
  refuse: (problem: string) => void
  press: (path: string, what: 'row' | 'count') => void
  pasted: (words: string) => void
  changed: () => void
  /** Rows have another height or place. */
  measured: () => void
  /** Signs were left out of pasted words. */
  cleaned: () => void
}

const readAnew = new Set(['spelling', 'unreadable', 'chatter', 'day', 'date', 'day-off'])

/** Whether pasted words are a message that was read, and not rows in the form they are kept in. */
export function isMessage(words: string, standpoint: Standpoint): boolean {
  const written = words.split('\n').filter(line => line.trim() !== '').length
  if (words.trim().length < 8 || !/\s/.test(words.trim())) return false
  const { remarks } = readScript(words, standpoint)
  const anew = new Set(remarks.filter(remark => readAnew.has(remark.code)).map(remark => remark.line))
  return anew.size * 2 >= written
}

const actionKeys = (host: SheetHost): Extension =>
  Prec.high(
    EditorView.domEventHandlers({
      keydown(event, { state }) {
        const action = rowActions.find(one => isAltKey(event, one))
        if (!action) return false
        event.preventDefault()
        const [session, path] = [host.session(), rowInHand(state)]
        const wanted = session && path ? action.edit(session, path) : null
        if (wanted) host.edit(wanted)
        return true
      },
    }),
  )

/** An end of a row's string was let go at a percentage of critical. */
function pulled(host: SheetHost, path: string, end: StringEnd, percent: number): void {
  const session = host.session()
  const item = session && itemAt(session, path)
  const sport = session ? sportAt(session, path) : 'multi'
  if (item?.kind !== 'step' || !item.target || sport === 'multi') return
  const target = stretchTarget(item.target, end, percent, host.standpoint(), sport)
  if (!target) return host.refuse(texts.isNotSaidIn(printTarget(item.target)))
  host.edit({ do: 'target', at: path, words: `${printTarget(target)}${item.also ? texts.and(printTarget(item.also)) : ''}` })
}

/** Everything that makes an editor of words the sheet. */
export const sheetExtensions = (host: SheetHost): Extension[] => [
  takenRow,
  answering.of(host.answer),
  stringDragging((path, end, percent) => pulled(host, path, end, percent)),
  actionKeys(host),
  sheetKeys,
  scriptLanguage(host.own),
  tooltips({ parent: host.offers }),
  sheetColumns,
  standingMargins,
  highlightActiveLine(),
  highlightActiveLineGutter(),
  EditorView.lineWrapping,
  rowDragging(host.edit, host.press),
  /** What no server can keep is left out before it is anywhere, and said. */
  EditorView.clipboardInputFilter.of(words => {
    const kept = storable(words)
    if (kept !== words) host.cleaned()
    return kept
  }),
  placeholder(texts.typeOrPasteA),
  EditorView.contentAttributes.of({ 'aria-label': texts.sessionScriptOneStep, 'spellcheck': 'false', 'autocapitalize': 'off' }),
  EditorView.domEventHandlers({
    /** A dialog that closes gives the focus back without the caret, and until there is one in the words, what is typed goes nowhere. */
    focus(_event, view) {
      if (!view.contentDOM.contains(document.getSelection()?.focusNode ?? null)) view.focus()
    },
    paste(event) {
      const words = storable(event.clipboardData?.getData('text/plain') ?? '')
      if (isMessage(words, host.standpoint())) host.pasted(words)
    },
  }),
  EditorView.updateListener.of(update => {
    if (update.docChanged) host.changed()
    if (update.geometryChanged) host.measured()
  }),
]
