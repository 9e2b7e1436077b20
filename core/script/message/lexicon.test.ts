import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { printPlace } from '../print'
import { effortNames } from './efforts'
import { atThePool, everywhere, places } from './lexicon'
import type { Meaning } from './token'

const page = readFileSync(new URL('../../../docs/script.md', import.meta.url), 'utf8')
const section = page.slice(page.indexOf('## The words it knows')).split('\n## ')[0]!
const rows = [...section.matchAll(/^\| ([^|`]+) \| (.*`) \|$/gm)].map(match => ({
  means: match[1]!,
  words: [...match[2]!.matchAll(/`([^`]+)`/g)].map(word => word[1]!),
}))

function nameOf(meaning: Meaning): string | null {
  switch (meaning.is) {
    case 'role':
      return meaning.role
    case 'soft':
      return meaning.isBack ? `${meaning.word} back` : meaning.word
    case 'on-off':
      return meaning.which
    case 'between':
      return `between ${meaning.level}`
    case 'share':
      return meaning.by === 1 ? 'as long' : 'half as long'
    case 'portion':
      return meaning.which
    case 'order':
      return { after: 'comes before', first: 'comes first', last: 'comes last', here: 'stays here', around: 'before and after' }[
        meaning.which
      ]
    case 'same':
      return 'the same again'
    case 'total':
      return 'sum'
    case 'label':
      return 'part'
    case 'filler':
      return 'swimming itself'
    case 'place':
      return printPlace(meaning.place)
    case 'swim':
      return meaning.swim.stroke ?? meaning.swim.mode ?? meaning.swim.kit![0]!
    case 'mark':
      return meaning.sign === '+' ? 'then' : null
    case 'open':
    case 'close':
      return null
    default:
      return meaning.is
  }
}

interface Known {
  means: string
  pattern: RegExp
}
const known: Known[] = [
  ...[...everywhere, ...places, ...atThePool].flatMap(([pattern, meaning]) => {
    const means = nameOf(meaning)
    return means === null ? [] : [{ means, pattern }]
  }),
  ...effortNames.map(({ pattern, name }) => ({ means: `${name} effort`, pattern })),
]

/** A word may need what stands behind it: nothing, or a length, or how hard. */
function reads({ pattern }: Known, word: string): boolean {
  return [word, `${word} 1`, `${word}1`, `${word} easy`, `${word} 15 s rest`, `${word} 15 min easy`].some(text => {
    pattern.lastIndex = 0
    return pattern.exec(text)?.[0].trim() === word
  })
}

describe('the words in docs/script.md', () => {
  it('are a table', () => expect(rows.length).toBeGreaterThan(60))

  it.each(rows)('$means', ({ means, words }) => {
    const own = known.filter(entry => entry.means === means)
    expect(words.filter(word => !own.some(entry => reads(entry, word)))).toEqual([])
  })

  it('leave no entry of the tables out', () => {
    const unsaid = known.filter(entry => !rows.some(({ means, words }) => means === entry.means && words.some(word => reads(entry, word))))
    expect(unsaid.map(({ means, pattern }) => `${means}: ${pattern.source}`)).toEqual([])
  })
})
