import type { DecorationSet, EditorView, ViewUpdate } from '@codemirror/view'
import { Decoration, MatchDecorator, ViewPlugin } from '@codemirror/view'

/** Words by what they say; how hard is said by the string beside the row, not here. */
const words = new RegExp(
  [
    /(?<=^[ \t]*)(?<header>title|sport|place|day|ceiling|prompt)\b.*/,
    /(?<=^[ \t]*)(?<repeat>(?:\d+ times|repeat for|leg)\b)/,
    /(?<note>#(?:\s.*|$))/,
    /(?<doubt>\?\{[^}]*\})/,
    /(?<result>=> .*)/,
    /(?<![\p{L}%/-]|\blast )(?<role>warm-up|cool-down|recovery|rest|transition|work|off|unread)\b/u,
    /(?<at>@)/,
    /(?<number>\d[\d:.,]*(?:[-\u2013]\d[\d:.,]*)*)/,
  ]
    .map(one => one.source)
    .join('|'),
  'gu',
)

const kinds = ['header', 'repeat', 'note', 'doubt', 'result', 'role', 'at', 'number'] as const
const looks = new Map(kinds.map(kind => [kind, Decoration.mark({ class: `sheet-word ${kind}` })]))

type Kind = (typeof kinds)[number]

function found(match: RegExpMatchArray): { kind: Kind; length: number } {
  const kind = kinds.find(name => match.groups![name] !== undefined)!
  return { kind, length: match.groups![kind]!.length }
}

/** The words of one line that have a look of their own, in order. */
export const wordsOf = (line: string) =>
  [...line.matchAll(words)].map(match => {
    const { kind, length } = found(match)
    return { kind, text: line.slice(match.index, match.index + length) }
  })

const decorator = new MatchDecorator({
  regexp: words,
  decorate(add, from, _to, match) {
    const { kind, length } = found(match)
    add(from, from + length, looks.get(kind)!)
  },
})

/** Gives the words in sight their look, line by line: what one line looks like depends on no other. */
export const highlighting = ViewPlugin.fromClass(
  class {
    decorations: DecorationSet

    constructor(view: EditorView) {
      this.decorations = decorator.createDeco(view)
    }

    update(update: ViewUpdate) {
      this.decorations = decorator.updateDeco(update, this.decorations)
    }
  },
  { decorations: plugin => plugin.decorations },
)
