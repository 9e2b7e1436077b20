<script setup lang="ts">
import { historyField, isolateHistory } from '@codemirror/commands'
import type { Transaction } from '@codemirror/state'
import { EditorState } from '@codemirror/state'
import { EditorView, highlightActiveLine, highlightActiveLineGutter, keymap, placeholder } from '@codemirror/view'
import type { Edit } from '~~/core/edit/edit'
import { sayRefusal } from '~~/core/words/refusals'
import { apply } from '~~/core/edit/edit'
import { itemAt, sportAt } from '~~/core/session/item-path'
import { stretchTarget } from '~~/core/edit/stretch'
import { changeBetween, retext } from '~~/core/edit/retext'
import type { SheetRow } from '~~/core/reckon/sheet'
import type { ReadResult } from '~~/core/script/reader/read-script'
import { printTarget } from '~~/core/script/print-target'
import { readScript } from '~~/core/script/reader/read-script'
import { sayItem } from '~~/core/script/say'
import type { Remark } from '~~/core/script/remark'
import { rowDragging } from '~/desk/drag'
import type { KeptHistory } from '~/desk/history'
import { sheetKeys } from '~/desk/keys'
import type { OwnSession } from '~/desk/language'
import { scriptLanguage } from '~/desk/language'
import { sheetLines } from '~/desk/lines'
import { rowActions } from '~/desk/row-keys'
import type { StringEnd } from '~/desk/string-drag'
import { stringDragging } from '~/desk/string-drag'
import { setSheet, sheetColumns, sheetField } from '~/desk/sheet'
import { standingMargins } from '~/desk/standing-margins'

const props = defineProps<{ history: KeptHistory | null; own: OwnSession[]; selected: string | null }>()
const emit = defineEmits<{
  row: [path: string | null]
  history: [kept: KeptHistory]
  refused: [problem: string]
  field: [what: 'row' | 'count']
}>()

/** Asked and not handed over by the page, so that nothing of the page need be drawn before the sheet is. */
const desk = useDeskStore()
const athletes = useAthleteStore()
const host = useTemplateRef<HTMLElement>('host')
const levels = ref(1)
let view: EditorView | undefined
/** A row chosen by the pointer or left in hand by an edit; the caret alone cannot tell the rows of a shorthand line apart. */
let chosen: string | null = null
let historyTimer: ReturnType<typeof setTimeout> | undefined
const keepHistoryAfter = 700

const sessionNow = () => (desk.reading.sessions.length === 1 ? desk.reading.sessions[0]! : null)
const say = (path: string) => {
  const session = sessionNow()
  const item = session && itemAt(session, path)
  return item ? sayItem(item) : ''
}

let drawn: { rows: SheetRow[]; reading: ReadResult } | null = null

function sheetNow(typedLine: number | null = null) {
  drawn = { rows: desk.rows, reading: desk.reading }
  const data = sheetLines(desk.rows, desk.places, desk.reading.remarks, say)
  levels.value = Math.max(1, data.levels)
  return setSheet.of({ data, typedLine })
}

const sayRow = () => emit('row', chosen !== null && desk.places.has(chosen) ? chosen : pathAtCaret())

function refresh() {
  if (!view || (drawn?.rows === desk.rows && drawn.reading === desk.reading)) return
  view.dispatch({ effects: sheetNow() })
  sayRow()
}

/** The line in which single letters were typed or taken away; null for any other change. */
function typedLineOf(transactions: readonly Transaction[]): number | null {
  const [first, last] = [transactions[0]!.startState, transactions.at(-1)!.state]
  const isTyped = transactions.every(transaction =>
    ['input.type', 'delete.backward', 'delete.forward'].some(event => transaction.isUserEvent(event)),
  )
  return isTyped && first.doc.lines === last.doc.lines ? last.doc.lineAt(last.selection.main.head).number : null
}

/** Words and the margins they come to are drawn as one: read first, then shown. */
function update(transactions: readonly Transaction[], target: EditorView) {
  if (!transactions.some(transaction => transaction.docChanged)) return target.update(transactions)
  const { state } = transactions.at(-1)!
  desk.type(state.doc.toString())
  target.update([...transactions, state.update({ effects: sheetNow(typedLineOf(transactions)) })])
  sayRow()
}

const pathAtCaret = () => {
  if (!view) return null
  const line = view.state.doc.lineAt(view.state.selection.main.head).number
  return view.state.field(sheetField).data.lines.get(line)?.rows[0]?.row.path ?? null
}

function rememberHistory() {
  clearTimeout(historyTimer)
  historyTimer = setTimeout(() => {
    if (view) emit('history', { doc: view.state.doc.toString(), state: view.state.toJSON({ history: historyField }) })
  }, keepHistoryAfter)
}

/** Carries edits of the session out on the words, as one change that can be undone. */
async function editAll(wanted: readonly Edit[]) {
  if (!view || wanted.length === 0) return
  const text = view.state.doc.toString()
  if (desk.script !== text) await nextTick()
  const session = sessionNow()
  if (!session) return emit('refused', 'The text holds several sessions; its rows are changed one session at a time.')
  let changed = session
  let select: string | null = null
  for (const one of wanted) {
    const result = apply(changed, one, athletes.standpoint)
    if (!result.ok) return emit('refused', sayRefusal(result.refusal))
    changed = result.session
    select = result.select
  }
  const last = wanted.at(-1)!
  const inHand = props.selected
  const isAround = (last.do === 'repeat' || last.do === 'drop-last') && inHand !== null && inHand.startsWith(`${last.at}.`)
  if (isAround) select = inHand
  chosen = select
  view.dispatch({
    changes: changeBetween(text, retext(text, desk.reading, changed, desk.read)),
    userEvent: 'input.edit',
    annotations: isolateHistory.of('full'),
    scrollIntoView: true,
  })
  await nextTick()
  const place = select ? desk.places.get(select) : undefined
  if (place) view.dispatch({ selection: { anchor: view.state.doc.line(place.line).from + place.column - 1 }, scrollIntoView: true })
  chosen = select
  emit('row', select ?? pathAtCaret())
}

const edit = (wanted: Edit | null) => (wanted ? editAll([wanted]) : Promise.resolve())

const actionKeys = keymap.of(
  rowActions.map(action => ({
    key: action.key,
    preventDefault: true,
    run() {
      const path = props.selected ?? pathAtCaret()
      const session = sessionNow()
      if (session && path) void edit(action.edit(session, path))
      return true
    },
  })),
)

const readAnew = new Set(['spelling', 'unreadable', 'chatter', 'day', 'date', 'day-off'])

/** Whether pasted words are a message that was read, and not rows in the form they are kept in. */
function isMessage(text: string): boolean {
  const written = text.split('\n').filter(line => line.trim() !== '').length
  if (text.trim().length < 8 || !/\s/.test(text.trim())) return false
  const anew = new Set(
    readScript(text, athletes.standpoint)
      .remarks.filter(remark => readAnew.has(remark.code))
      .map(remark => remark.line),
  )
  return anew.size * 2 >= written
}

/** An end of a row's string was let go at a percentage of critical. */
function pull(path: string, end: StringEnd, percent: number) {
  const session = sessionNow()
  const item = session && itemAt(session, path)
  const sport = session ? sportAt(session, path) : 'multi'
  if (item?.kind !== 'step' || !item.target || sport === 'multi') return
  const target = stretchTarget(item.target, end, percent, athletes.standpoint, sport)
  if (!target) return emit('refused', `${printTarget(item.target)} is not said in numbers that can be pulled; type another target.`)
  void edit({ do: 'target', at: path, words: `${printTarget(target)}${item.also ? ` and ${printTarget(item.also)}` : ''}` })
}

const extensions = () => [
  stringDragging(pull),
  actionKeys,
  sheetKeys,
  scriptLanguage(() => props.own),
  sheetColumns,
  standingMargins,
  highlightActiveLine(),
  highlightActiveLineGutter(),
  EditorView.lineWrapping,
  rowDragging(
    wanted => void edit(wanted),
    (path, what) => {
      chosen = path
      emit('row', path)
      if (what === 'count') emit('field', 'count')
    },
  ),
  placeholder('Type or paste a session: 16 min easy, 2 x (4 x (90 s @ 102-106 %CP, 1 min easy)) / 4 min easy, 12 min easy'),
  EditorView.contentAttributes.of({ 'aria-label': 'Session script, one step a line', 'spellcheck': 'false', 'autocapitalize': 'off' }),
  EditorView.domEventHandlers({
    paste(event) {
      const text = event.clipboardData?.getData('text/plain') ?? ''
      if (isMessage(text)) desk.paste(text)
    },
  }),
  EditorView.updateListener.of(update => {
    if (update.docChanged) rememberHistory()
    if (update.selectionSet && !update.docChanged) {
      chosen = null
      emit('row', pathAtCaret())
    }
  }),
]

/** The state with everything that could be undone before the page went away. */
function restoredState(): EditorState {
  if (props.history) {
    try {
      const state = EditorState.fromJSON(props.history.state, { extensions: extensions() }, { history: historyField })
      return state.update({ changes: changeBetween(state.doc.toString(), desk.script) }).state
    } catch {
      return EditorState.create({ doc: desk.script, extensions: extensions() })
    }
  }
  return EditorState.create({ doc: desk.script, extensions: extensions() })
}

onMounted(() => {
  view = new EditorView({ parent: host.value!, state: restoredState(), dispatchTransactions: update })
  refresh()
  view.focus()
})
onBeforeUnmount(() => {
  clearTimeout(historyTimer)
  if (view) emit('history', { doc: view.state.doc.toString(), state: view.state.toJSON({ history: historyField }) })
  view?.destroy()
})

watch(
  () => desk.script,
  text => {
    if (view && view.state.doc.toString() !== text)
      view.dispatch({ changes: changeBetween(view.state.doc.toString(), text), annotations: isolateHistory.of('full') })
  },
)
watch(() => [desk.rows, desk.reading], refresh)
watch(
  () => props.selected,
  path => {
    for (const element of host.value?.querySelectorAll('.sheet-selected') ?? []) element.classList.remove('sheet-selected')
    if (path)
      for (const element of host.value?.querySelectorAll(`.sheet-preview [data-path="${path}"]`) ?? [])
        element.classList.add('sheet-selected')
  },
)

function replace(remark: Remark, replacement: string) {
  if (!view) return
  const from = view.state.doc.line(remark.line).from + remark.column - 1
  view.dispatch({
    changes: { from, to: from + remark.length, insert: replacement },
    selection: { anchor: from },
    scrollIntoView: true,
    userEvent: 'input.fix',
  })
  view.focus()
}

function show(line: number) {
  if (!view) return
  view.dispatch({ selection: { anchor: view.state.doc.line(Math.min(line, view.state.doc.lines)).from }, scrollIntoView: true })
  view.focus()
}

/** Puts a whole other wording on the desk, as one change that can be undone. */
function rewrite(text: string) {
  if (!view) return
  view.dispatch({
    changes: changeBetween(view.state.doc.toString(), text),
    annotations: isolateHistory.of('full'),
    userEvent: 'input.rewrite',
  })
  view.focus()
}

const headerName = (line: string) => /^(?:title|sport|place|day|ceiling|prompt)\b/.exec(line)?.[0]

/** Adds words to the sheet: a header behind the headers that stand there, in the place of one it would stand twice with; rows at the end. */
function put(words: string) {
  if (!view) return
  const lines = view.state.doc.toString().trimEnd().split('\n')
  const end = lines.findIndex(line => !headerName(line))
  const [headers, rows] = end < 0 ? [lines, []] : [lines.slice(0, end), lines.slice(end)]
  const name = headerName(words)
  const kept = headers.filter(line => name === undefined || name === 'prompt' || headerName(line) !== name)
  const body = rows.join('\n').trim() === '' ? [] : rows
  const parted = body.length > 0 && body[0]!.trim() !== '' ? ['', ...body] : body
  if (name !== undefined) return rewrite([...kept, words, ...parted, ''].join('\n'))
  rewrite(
    [...headers, ...(headers.length > 0 && body.length === 0 ? [''] : []), ...(headers.length > 0 ? parted : body), words, ''].join('\n'),
  )
}

defineExpose({ replace, show, edit, editAll, rewrite, put, focus: () => view?.focus() })
</script>

<template>
  <div class="sheet" :style="{ '--spine': `${levels * 26 + 14}px` }">
    <div class="heads" aria-hidden="true">
      <span class="fold" /><span class="clock">clock</span><span class="distance">km</span><span class="spine" /><span class="words"
        >words</span
      >
      <span class="comes">comes to</span>
      <span class="string"
        ><i style="left: 17.6%">60</i><i style="left: 41.2%">80</i><i style="left: 64.7%">100 %</i><i style="left: 88.2%">120</i></span
      >
    </div>
    <div ref="host" class="editor" role="group" aria-label="Sheet" tabindex="0" />
    <DeskAloud />
  </div>
</template>

<style src="./sheet.css"></style>
