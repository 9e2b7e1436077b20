import { describe, expect, it } from 'vitest'
import { nobody } from '../athlete/standpoint'
import { printSession } from '../script/print'
import { readScript } from '../script/reader/read-script'
import { harderSession } from './whole'

const read = (words: string) => readScript(words, nobody).sessions[0]!
const rows = (words: string, by: number) => {
  const harder = harderSession(read(words), { by, unit: '%' })
  return harder && printSession(harder).split('\n\n')[1]!.trimEnd().split('\n')
}

describe('a whole session a little harder or easier', () => {
  const words = 'sport ride\n\nwarm-up 10:00\n3 times\n  6:00 @ 200 W\n  recovery 2:00 @ 100 W\n5:00 @ 240-260 W\n'

  it('moves the work of repeats too, and leaves recoveries, lengths and counts', () => {
    expect(rows(words, 5)).toEqual(['warm-up 10:00', '3 times', '  6:00 @ 210 W', '  recovery 2:00 @ 100 W', '5:00 @ 252-273 W'])
    expect(rows(words, -10)![2]).toBe('  6:00 @ 180 W')
  })

  it('is nothing where no work has a target that the shift fits', () => {
    expect(rows('sport run\n\n20:00\n', 3)).toBeNull()
    expect(harderSession(read(words), { by: 5, unit: 'bpm' })).toBeNull()
  })

  it('leaves the session it came from as it was', () => {
    const before = read(words)
    const copy = structuredClone(before)
    harderSession(before, { by: 5, unit: '%' })
    expect(before).toEqual(copy)
  })
})
