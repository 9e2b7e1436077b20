import { describe, expect, it } from 'vitest'
import { promptsSaid } from './prompts'

const drink = { say: 'drink', from: 1200, every: 1200 }
const eat = { say: 'eat', from: 2000, every: 2400, count: 1 }

describe('promptsSaid', () => {
  it('tells two programmes apart by when each is due, pauses taken off', () => {
    const marks = [
      { t: 1200, kind: 'prompt' as const },
      { t: 1500, kind: 'pause' as const },
      { t: 1800, kind: 'resume' as const },
      { t: 2300, kind: 'prompt' as const },
      { t: 2700, kind: 'prompt' as const },
    ]
    expect(promptsSaid([drink, eat], marks)).toEqual([
      { t: 1200, say: 'drink' },
      { t: 2300, say: 'eat' },
      { t: 2700, say: 'drink' },
    ])
  })

  it('claims nothing where the program is not known', () => {
    expect(promptsSaid([], [{ t: 10, kind: 'prompt' }])).toEqual([])
  })
})
