<script setup lang="ts">
import { historyField, redo, redoDepth, undo, undoDepth } from '@codemirror/commands'
import type { Transaction } from '@codemirror/state'
import { EditorState } from '@codemirror/state'
import { EditorView } from '@codemirror/view'
import type { Edit } from '~~/core/edit/edit'
import { changeBetween } from '~~/core/edit/retext'
import type { SheetRow } from '~~/core/reckon/sheet'
import { sheetUnit } from '~~/core/reckon/sheet'
import type { ReadResult } from '~~/core/script/reader/read-script'
import { sayItem } from '~~/core/script/say'
import type { Remark } from '~~/core/script/remark'
import { itemAt } from '~~/core/session/item-path'
import { carryOut } from '~/desk/carry-out'
import type { KeptHistory } from '~/desk/history'
import type { OwnSession } from '~/desk/completion'
import { sheetLines } from '~/desk/lines'
import { replaceRemark, rewrite, showLine, withWords } from '~/desk/rewrite'
import { rowInHand, takeRow } from '~/desk/row-in-hand'
import { setSheet } from '~/desk/sheet'
import { sheetExtensions } from '~/desk/sheet-extensions'
import { deskSheetEditor as texts } from '~/texts/en'

const props = defineProps<{ id: string; history: KeptHistory | null; own: OwnSession[] }>()
const emit = defineEmits<{
  history: [id: string, kept: KeptHistory]
  refused: [problem: string]
  answer: [remark: Remark, replacement: string]
  field: [what: 'row' | 'count']
}>()

/** Asked and not handed over by the page, so that nothing of the page need be drawn before the sheet is. */
const text = useDeskTextStore()
const desk = useDeskReadingStore()
const athletes = useAthleteStore()
const host = useTemplateRef<HTMLElement>('host')
const offers = useTemplateRef<HTMLElement>('offers')
const levels = ref(1)
/** Where the row in hand begins, in pixels from the top of the sheet. */
const rowTop = ref<number | null>(null)
let view: EditorView | undefined
let historyTimer: ReturnType<typeof setTimeout> | undefined
const keepHistoryAfter = 700

const distanceUnit = computed(() => sheetUnit(sessionNow() ?? { sport: 'run' }, athletes.standpoint))
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

function tellPlace() {
  rowTop.value = view && text.inHand ? view.lineBlockAt(view.state.selection.main.head).top + 3 : null
}

/** The row in hand and what can be undone are the editor's; the other parts of the desk are told. */
function tellRow() {
  text.inHand = view ? rowInHand(view.state) : null
  tellPlace()
  text.canUndo = view ? undoDepth(view.state) > 0 : false
  text.canRedo = view ? redoDepth(view.state) > 0 : false
}

function refresh() {
  if (!view || (drawn?.rows === desk.rows && drawn.reading === desk.reading)) return
  view.dispatch({ effects: sheetNow() })
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
  if (transactions.some(transaction => transaction.docChanged)) {
    const { state } = transactions.at(-1)!
    text.type(state.doc.toString())
    target.update([...transactions, state.update({ effects: sheetNow(typedLineOf(transactions)) })])
  } else target.update(transactions)
  tellRow()
}

function rememberHistory() {
  clearTimeout(historyTimer)
  historyTimer = setTimeout(tellHistory, keepHistoryAfter)
}
function tellHistory() {
  if (view) emit('history', props.id, { doc: view.state.doc.toString(), state: view.state.toJSON({ history: historyField }) })
}

const editContext = {
  reading: () => desk.reading,
  read: desk.read,
  standpoint: () => athletes.standpoint,
  placeOf: (path: string) => desk.places.get(path),
}

/** Carries edits of the session out on the words, as one change that can be undone. */
async function editAll(wanted: readonly Edit[]) {
  if (!view || wanted.length === 0) return
  if (text.script !== view.state.doc.toString()) await nextTick()
  const refusal = carryOut(view, wanted, editContext)
  if (refusal !== null) emit('refused', refusal)
}
const edit = (wanted: Edit) => editAll([wanted])

const extensions = () =>
  sheetExtensions({
    own: () => props.own,
    offers: offers.value!,
    session: sessionNow,
    standpoint: () => athletes.standpoint,
    edit: wanted => void edit(wanted),
    answer: (remark, replacement) => emit('answer', remark, replacement),
    refuse: problem => emit('refused', problem),
    press(path, what) {
      view?.dispatch({ effects: takeRow.of(path) })
      if (what === 'count') emit('field', 'count')
    },
    pasted: text.paste,
    changed: rememberHistory,
    measured: tellPlace,
    cleaned: () =>
      import('element-plus/es/components/message/index.mjs').then(({ ElMessage }) => ElMessage.warning(texts.signsThatCannotBe)),
  })

/** The state with everything that could be undone before the page went away. */
function restoredState(): EditorState {
  if (props.history) {
    try {
      const state = EditorState.fromJSON(props.history.state, { extensions: extensions() }, { history: historyField })
      return state.update({ changes: changeBetween(state.doc.toString(), text.script) }).state
    } catch {
      return EditorState.create({ doc: text.script, extensions: extensions() })
    }
  }
  return EditorState.create({ doc: text.script, extensions: extensions() })
}

onMounted(() => {
  view = new EditorView({ parent: host.value!, state: restoredState(), dispatchTransactions: update })
  refresh()
  tellRow()
  view.focus()
})
onBeforeUnmount(() => {
  clearTimeout(historyTimer)
  tellHistory()
  view?.destroy()
  text.inHand = null
})

watch(
  () => text.script,
  words => {
    if (view && text.id === props.id && view.state.doc.toString() !== words) rewrite(view, words)
  },
)
watch(() => [desk.rows, desk.reading], refresh)
watch(
  () => text.inHand,
  path => {
    for (const element of host.value?.querySelectorAll('.sheet-selected') ?? []) element.classList.remove('sheet-selected')
    if (path)
      for (const element of host.value?.querySelectorAll(`.sheet-preview [data-path="${path}"]`) ?? [])
        element.classList.add('sheet-selected')
  },
)

/** Takes a row into the hand and shows its line. */
function hold(path: string) {
  const line = desk.lineOf(path)
  if (!view || line === null) return
  showLine(view, line)
  view.dispatch({ effects: takeRow.of(path) })
}

function putWhole(words: string) {
  if (!view) return
  rewrite(view, words)
  view.focus()
}

defineExpose({
  edit,
  editAll,
  hold,
  replace: (remark: Remark, replacement: string) => view && replaceRemark(view, remark, replacement),
  show: (line: number) => view && showLine(view, line),
  rewrite: putWhole,
  put: (words: string) => view && putWhole(withWords(view.state.doc.toString(), words)),
  focus: () => view?.focus(),
  undo: () => view && undo(view),
  redo: () => view && redo(view),
})
</script>

<template>
  <div class="sheet" :style="{ '--spine': `${levels * 26 + 14}px` }">
    <div class="heads" aria-hidden="true">
      <span class="fold" /><span class="clock">{{ texts.clock }}</span
      ><span class="distance">{{ distanceUnit }}</span
      ><span class="spine" /><span class="words">{{ texts.words }}</span>
      <span class="comes">{{ texts.comesTo }}</span>
      <span class="string"
        ><i style="left: 17.6%">60</i><i style="left: 41.2%">80</i><i style="left: 64.7%">100 %</i><i style="left: 88.2%">120</i></span
      >
    </div>
    <div ref="host" class="editor" role="group" :aria-label="texts.sheet" tabindex="0">
      <AfterRoom>
        <LazyDeskRowMenu v-if="text.inHand && rowTop !== null" :path="text.inHand" :top="rowTop" @edit="edit" @closed="view?.focus()" />
      </AfterRoom>
    </div>
    <div ref="offers" class="offers" />
    <DeskAloud />
  </div>
</template>

<style src="./sheet.css"></style>
