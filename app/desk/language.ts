import type { Completion, CompletionContext, CompletionResult } from '@codemirror/autocomplete'
import { acceptCompletion, autocompletion, completionKeymap, snippetCompletion } from '@codemirror/autocomplete'
import { foldGutter, foldService } from '@codemirror/language'
import type { Extension } from '@codemirror/state'
import { Prec } from '@codemirror/state'
import { hoverTooltip, keymap } from '@codemirror/view'
import { highlighting } from './highlight'
import { sheetField } from './sheet'

const efforts = ['1500m', 'mile', '3k', '5k', '10k', 'half-marathon', 'marathon', 'threshold', 'critical', 'steady', 'easy', 'max', 'goal']
const afterAt: Completion[] = [
  ...efforts.map(name => ({ label: `${name} effort`, type: 'effort' })),
  ...['/km', '/mi', '/100m'].map(unit => snippetCompletion(`#{4:05} ${unit}`, { label: `4:05 ${unit}`, type: 'pace' })),
  ...[1, 2, 3, 4, 5].flatMap(zone => ['heart rate', 'power'].map(of => ({ label: `zone ${zone} ${of}`, type: 'zone' }))),
  snippetCompletion('#{95}-#{105} %CP', { label: '95-105 %CP', type: 'power' }),
  snippetCompletion('#{200} W', { label: '200 W', type: 'power' }),
  snippetCompletion('#{140}-#{150} bpm', { label: '140-150 bpm', type: 'heart rate' }),
  snippetCompletion('RPE #{6}', { label: 'RPE 6', type: 'felt' }),
]
const atRowStart: Completion[] = [
  ...['warm-up until press', 'cool-down until press', 'recovery 2:00 jog', 'rest 1:00'].map(label => ({ label, type: 'row' })),
  snippetCompletion('#{4} times, drop last recovery\n  #{400 m} @ #{5k effort}\n  recovery #{1:30} jog', {
    label: '4 times … with recoveries between',
    type: 'repeat',
  }),
  snippetCompletion('repeat for #{5 km}\n  #{4:00} @ #{10k effort}\n  recovery #{1:30}', { label: 'repeat for 5 km …', type: 'repeat' }),
]
const headerRows: Completion[] = [
  snippetCompletion('title #{}', { label: 'title', type: 'header' }),
  ...['sport run', 'sport ride', 'sport swim', 'place track', 'place treadmill', 'place trainer', 'place pool 25 m'].map(label => ({
    label,
    type: 'header',
  })),
  snippetCompletion('ceiling #{165} bpm', { label: 'ceiling 165 bpm', type: 'header' }),
  snippetCompletion('prompt drink from #{40:00} every #{20:00}', { label: 'prompt drink …', type: 'header' }),
]
const units: Completion[] = ['m', 'km', 'mi', 'min', 's', 'kcal'].map(label => ({ label, type: 'unit' }))

/** A session of the athlete's own, to be put in by its title. */
export interface OwnSession {
  title: string
  rows: () => Promise<string | null>
}

const asSnippet = (own: OwnSession): Completion => ({
  label: own.title,
  type: 'session',
  detail: 'its rows',
  apply(view, _, from, to) {
    void own.rows().then(rows => {
      if (rows !== null && view.state.sliceDoc(from, to) !== '')
        view.dispatch({ changes: { from, to, insert: rows }, userEvent: 'input.complete' })
    })
  },
})

/** What may come next, or nothing where the word is whole already. */
function offered({ pos, explicit }: CompletionContext, typed: string, options: Completion[], fits: RegExp): CompletionResult | null {
  const isWhole = (text: string) => !explicit && options.some(({ label }) => label.toLowerCase() === text.trim().toLowerCase())
  return isWhole(typed) ? null : { from: pos - typed.length, options, validFor: text => fits.test(text) && !isWhole(text) }
}

function complete(own: () => readonly OwnSession[]) {
  return (context: CompletionContext): CompletionResult | null => {
    const line = context.state.doc.lineAt(context.pos)
    const before = line.text.slice(0, context.pos - line.from)
    if (/^\s*#|\s#\s/.test(before) || /^(?:title|prompt)\s/.test(before)) return null
    const target = /(?:@|\band)\s+([\w%:-]*(?: [\w%]*)?)$/.exec(before)
    if (target) return offered(context, target[1]!, afterAt, /^[\w%: -]*$/)
    const unit = /(?:^|\s)\d+(?:\.\d+)? ([a-z]+)$/.exec(before)
    if (unit) return offered(context, unit[1]!, units, /^[a-z]*$/)
    const start = /^(\s*)([\p{L}][\p{L}\d -]*)$/u.exec(before)
    if (!start && !(context.explicit && before.trim() === '')) return null
    const options = [...atRowStart, ...(start?.[1] ? [] : headerRows), ...own().map(asSnippet)]
    return offered(context, start?.[2] ?? '', options, /^[\p{L}\d -]*$/u)
  }
}

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

/** Tab takes what is offered; Enter always begins the next row. */
const completionKeys = Prec.highest(
  keymap.of([...completionKeymap.filter(binding => binding.key !== 'Enter'), { key: 'Tab', run: acceptCompletion }]),
)

/** Words of the script: their look, what may come next, what they fold into and what they say. */
export const scriptLanguage = (own: () => readonly OwnSession[]): Extension => [
  highlighting,
  foldRows,
  foldGutter({ openText: '⌄', closedText: '›' }),
  readingOnHover,
  autocompletion({ override: [complete(own)], icons: false, defaultKeymap: false, interactionDelay: 0 }),
  completionKeys,
]
