import { describe, expect, it } from 'vitest'
import { asRunCard, pictureSize } from './as-run-card'
import { cardSvg } from './svg'

const asRun = [
  'title Eight threes',
  'sport run',
  '',
  'warm-up 2 km  => 11:51',
  '8 times, drop last recovery',
  '  300 m in 1:18-1:21  => 1:20 1:21, held 83 %',
  '  recovery 100 m jog  => 0:38',
  'cool-down 2 km',
  '',
].join('\n')

describe('a session as it was run, as a picture', () => {
  const card = asRunCard('Eight threes', 'run · 38:48', asRun)
  it('has each row with what came of it, inside its margins, and no header', () => {
    const texts = card.pages.flat().flatMap(mark => (mark.kind === 'text' ? [mark] : []))
    const words = texts.map(({ text }) => text).join(' ')
    expect(words.replaceAll(' ', '')).toContain('300min1:18-1:21:1:201:21,held83%'.replaceAll(' ', ''))
    expect(words).toContain('cool-down 2 km')
    expect(words).not.toContain('sport run')
    for (const { x, y } of texts) {
      expect(x).toBeGreaterThanOrEqual(pictureSize.margin)
      expect(y).toBeLessThanOrEqual(pictureSize.height - pictureSize.margin)
    }
    expect(card.pages[0]!.some(mark => mark.kind === 'line')).toBe(true)
    expect(cardSvg(card)).toContain('<svg')
  })
})
