import { describe, expect, it } from 'vitest'
import { nobody } from '../../core/athlete/standpoint'
import { randomFrom } from '../../core/quantity/random'
import { readScript } from '../../core/script/reader/read-script'
import type { Item } from '../../core/session/document'
import { loadCorpus, optionsFor } from './corpus'
import { variations } from './variations'

const variants = Number(process.env.VARIANTS ?? 1500)
const seed = process.env.LAW_SEED === 'random' ? Date.now() : 1

/** What a message comes to, without the words that are kept from it. */
function skeleton(items: readonly Item[]): unknown[] {
  return items.map(item => {
    if (item.kind === 'unread') return 'unread'
    if (item.kind === 'leg') return { ...item, items: skeleton(item.items) }
    const { note: _, doubt: __, ...rest } = item as Exclude<Item, { kind: 'unread' | 'leg' }>
    return rest.kind === 'block' ? { ...rest, items: skeleton(rest.items) } : rest
  })
}
const meaningOf = (file: string, said: string) =>
  readScript(said, nobody, optionsFor(file)).sessions.map(({ sport, day, place, items }) => ({ sport, day, place, items: skeleton(items) }))

describe('what is written otherwise and means the same', () => {
  it(`reads the same, in ${variants} variants of the corpus`, () => {
    const corpus = loadCorpus()
    const random = randomFrom(seed)
    const wrong: string[] = []
    for (let count = 0; count < variants; count++) {
      const { file, said } = corpus[Math.floor(random.next() * corpus.length)]!
      const variation = variations[Math.floor(random.next() * variations.length)]!
      const varied = variation.vary(said, random)
      if (varied === null || varied === said) continue
      const [before, after] = [meaningOf(file, said), meaningOf(file, varied)]
      if (JSON.stringify(before) !== JSON.stringify(after))
        wrong.push(`${variation.name}: ${JSON.stringify(said)} as ${JSON.stringify(varied)}`)
    }
    expect(wrong).toEqual([])
  })
})
