<script setup lang="ts">
import { EditorState } from '@codemirror/state'
import { EditorView, highlightActiveLine, highlightActiveLineGutter, placeholder } from '@codemirror/view'
import type { SheetRow } from '~~/core/reckon/sheet'
import type { Remark } from '~~/core/script/remark'
import { sheetKeys } from '~/desk/keys'
import { sheetLines } from '~/desk/lines'
import { setSheet, sheetColumns } from '~/desk/sheet'

const props = defineProps<{ script: string, rows: SheetRow[], places: ReadonlyMap<string, { line: number }>, remarks: Remark[] }>()
const emit = defineEmits<{ type: [text: string] }>()

const host = useTemplateRef<HTMLElement>('host')
const levels = ref(1)
let view: EditorView | undefined

function refresh() {
  if (!view) return
  const data = sheetLines(props.rows, props.places, props.remarks)
  levels.value = Math.max(1, data.levels)
  view.dispatch({ effects: setSheet.of(data) })
}

onMounted(() => {
  view = new EditorView({
    parent: host.value!,
    state: EditorState.create({
      doc: props.script,
      extensions: [
        sheetKeys, sheetColumns, highlightActiveLine(), highlightActiveLineGutter(), EditorView.lineWrapping,
        placeholder('Type or paste a session: 16 min easy, 2 x (4 x (90 s @ 102-106 %CP, 1 min easy)) / 4 min easy, 12 min easy'),
        EditorView.contentAttributes.of({ 'aria-label': 'Session script, one step a line', 'spellcheck': 'false', 'autocapitalize': 'off' }),
        EditorView.updateListener.of((update) => {
          if (update.docChanged) emit('type', update.state.doc.toString())
        }),
      ],
    }),
  })
  refresh()
  view.focus()
})
onBeforeUnmount(() => view?.destroy())

watch(() => props.script, (text) => {
  if (view && view.state.doc.toString() !== text) view.dispatch({ changes: { from: 0, to: view.state.doc.length, insert: text } })
})
watch(() => [props.rows, props.remarks], refresh, { flush: 'sync' })

function replace(remark: Remark, replacement: string) {
  if (!view) return
  const from = view.state.doc.line(remark.line).from + remark.column - 1
  view.dispatch({ changes: { from, to: from + remark.length, insert: replacement }, selection: { anchor: from }, scrollIntoView: true, userEvent: 'input.fix' })
  view.focus()
}

function show(line: number) {
  if (!view) return
  view.dispatch({ selection: { anchor: view.state.doc.line(line).from }, scrollIntoView: true })
  view.focus()
}

defineExpose({ replace, show })
</script>

<template>
  <div class="sheet" :style="{ '--spine': `${levels * 26 + 14}px` }">
    <div class="heads" aria-hidden="true">
      <span class="clock">clock</span><span class="way">km</span><span class="spine" /><span class="words">words</span>
      <span class="comes">comes to</span>
      <span class="string"><i style="left: 17.6%">60</i><i style="left: 41.2%">80</i><i style="left: 64.7%">100 %</i><i style="left: 88.2%">120</i></span>
    </div>
    <div ref="host" class="editor" />
    <ol class="hidden-text" aria-label="The session, read aloud">
      <li v-for="row in rows" :key="row.path">{{ row.words }}{{ row.comesTo ? `, ${row.comesTo}` : '' }}</li>
    </ol>
  </div>
</template>

<style>
.sheet { --string: 236px; --comes: 148px; display: flex; flex-direction: column; min-height: 0; flex: 1; }
.sheet .heads { display: flex; font-size: .84rem; color: var(--faint); border-bottom: 2px solid var(--slip); padding-bottom: 3px; flex: none; }
.sheet .heads .clock { width: 62px; text-align: right; }
.sheet .heads .way { width: 52px; text-align: right; }
.sheet .heads .spine { width: var(--spine); }
.sheet .heads .words { flex: 1; padding-left: 8px; }
.sheet .heads .comes { width: var(--comes); text-align: right; padding-right: 12px; }
.sheet .heads .string { width: var(--string); position: relative; }
.sheet .heads .string i { position: absolute; transform: translateX(-50%); font-style: normal; white-space: nowrap; }
.sheet .editor { flex: 1; min-height: 0; overflow: auto; }
.sheet .cm-editor { min-height: 100%; background: transparent; font-size: 15.5px; }
.sheet .cm-editor.cm-focused { outline: none; }
.sheet .cm-scroller { font-family: var(--mono); line-height: 1.4; overflow-x: hidden; }
.sheet .cm-content { padding: 0; caret-color: var(--clay-4); }
.sheet .cm-line { padding: calc(4px + var(--grow, 0px) / 2) 8px; border-bottom: 1px solid var(--rule); }
.sheet .cm-activeLine { background: var(--lit); }
.sheet .cm-gutters { background: transparent; border: 0; color: var(--faint); }
.sheet .cm-gutterElement { border-bottom: 1px solid var(--rule); padding: 0; display: flex; align-items: stretch; }
.sheet .cm-activeLineGutter { background: var(--lit); }
.sheet .cm-cursor { border-left: 2px solid var(--clay-4); }
.sheet .cm-selectionBackground, .sheet .cm-focused .cm-selectionBackground { background: var(--clay-1) !important; }
.sheet .cm-placeholder { color: var(--faint); white-space: normal; }
.sheet-column-clock { width: 62px; }
.sheet-column-way { width: 52px; }
.sheet-column-spine { width: var(--spine); }
.sheet-column-comes { width: var(--comes); }
.sheet-column-string { width: var(--string); border-left: 1px solid var(--rule); }
.sheet .cm-gutterElement > *, .sheet-stack-row > * { flex: 1; }
.sheet-number { font: 13.5px var(--mono); display: flex; align-items: center; justify-content: flex-end; }
.sheet-comes { font: 13.5px var(--read); display: flex; align-items: center; justify-content: flex-end; padding-right: 12px; text-align: right; }
.sheet-spine { position: relative; width: 100%; min-height: 100%; }
.sheet-bracket { position: absolute; top: 0; bottom: -1px; border-left: 2px solid var(--slip); width: 9px; }
.sheet-bracket.top, .sheet-bracket.whole { top: 50%; border-top: 2px solid var(--slip); }
.sheet-bracket.bottom, .sheet-bracket.whole { bottom: 50%; border-bottom: 2px solid var(--slip); }
.sheet-roundel { position: absolute; top: 50%; transform: translate(-50%, -50%); margin-left: 1px; background: var(--slip); color: var(--cream); border-radius: 12px; font: 600 11.5px/22px var(--read); min-width: 22px; padding: 0 4px; text-align: center; z-index: 1; }
.sheet-string { position: relative; min-height: 100%; }
.sheet-critical { position: absolute; top: 0; bottom: 0; border-left: 1px dashed var(--clay-2); }
.sheet-band { position: absolute; top: 50%; height: 8px; margin-top: -4px; border-radius: 4px; }
.sheet-band.easy { background: var(--clay-2); height: 6px; margin-top: -3px; }
.sheet-band.steady { background: var(--clay-3); }
.sheet-band.hard { background: var(--clay-4); height: 10px; margin-top: -5px; }
.sheet-band.hardest { background: repeating-linear-gradient(115deg, var(--clay-5) 0 4px, var(--clay-4) 4px 6px); height: 12px; margin-top: -6px; border-radius: 6px; }
.sheet-open { position: absolute; top: 50%; border-top: 2px dotted var(--faint); }
.sheet-stack { width: 100%; }
.sheet-stack-row { height: 30px; display: flex; border-bottom: 1px solid var(--rule); align-items: stretch; }
.sheet-stack-row:last-child { border-bottom: 0; }
.sheet-preview { border-bottom: 1px solid var(--rule); color: var(--slip); background: color-mix(in srgb, var(--paper) 60%, transparent); }
.sheet-preview .sheet-stack-row { align-items: center; padding-right: 8px; font: 14.5px var(--mono); white-space: nowrap; overflow: hidden; text-overflow: ellipsis; }
.sheet-preview .block, .sheet-block { font-weight: 700; color: var(--clay-5); }
.sheet-preview .off, .sheet-off { color: var(--faint); text-decoration: line-through; }
.sheet-note { color: var(--faint); }
.sheet-error { text-decoration: underline wavy var(--cinnabar) 1px; text-underline-offset: 4px; }
.sheet-said-ask { text-decoration: underline wavy var(--ochre-line) 1.5px; text-underline-offset: 4px; }
@media (max-width: 900px) {
  .sheet { --string: 96px; --comes: 120px; }
  .sheet .heads .string i:not(:nth-child(3)) { display: none; }
}
@media (max-width: 640px) {
  .sheet { --comes: 84px; }
  .sheet .heads .way, .sheet .heads .string { display: none; }
  .sheet .cm-editor .cm-gutters .cm-gutter.sheet-column-way, .sheet .cm-editor .cm-gutters .cm-gutter.sheet-column-string { display: none !important; }
  .sheet .cm-gutter.sheet-column-clock, .sheet .heads .clock { width: 46px; }
  .sheet .cm-editor { font-size: 14px; }
  .sheet .cm-line { padding-left: 4px; padding-right: 4px; }
  .sheet-number { font-size: 12px; }
  .sheet-comes { font-size: 12.5px; padding-right: 4px; }
}
</style>
