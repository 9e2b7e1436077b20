import type { Completion, CompletionContext, CompletionResult } from '@codemirror/autocomplete'
import { acceptCompletion, autocompletion, completionKeymap, snippetCompletion } from '@codemirror/autocomplete'
import type { Extension } from '@codemirror/state'
import { Prec } from '@codemirror/state'
import { keymap } from '@codemirror/view'

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

/** Tab takes what is offered; Enter always begins the next row. */
const completionKeys = Prec.highest(
  keymap.of([...completionKeymap.filter(binding => binding.key !== 'Enter'), { key: 'Tab', run: acceptCompletion }]),
)

/** What may come next at the caret, of the script's words and of the athlete's own sessions. */
export const completions = (own: () => readonly OwnSession[]): Extension => [
  autocompletion({ override: [complete(own)], icons: false, defaultKeymap: false, interactionDelay: 0 }),
  completionKeys,
]
