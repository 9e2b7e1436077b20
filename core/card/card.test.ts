import fc from 'fast-check'
import { XMLParser, XMLValidator } from 'fast-xml-parser'
import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { PDFDocument } from 'pdf-lib'
import { describe, expect, it } from 'vitest'
import { ilse } from '../../demo/athlete'
import { asWillRun } from './as-will-run'
import { arbitrarySession } from '../../tests/support/arbitrary-session'
import { readScript } from '../script/reader/read-script'
import { cardSizes } from './card'
import type { CardSize } from './card'
import { cardPdf } from './pdf'
import { fitsCode, sessionCard } from './session-card'
import { cardSvg } from './svg'
import { nobody } from '../athlete/standpoint'
import { seenBy } from '../../tests/support/standpoint'

const file = (name: string) =>
  new Uint8Array(
    readFileSync(
      createRequire(import.meta.url).resolve(`@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-${name}-normal.woff`),
    ),
  )
const letters = { regular: [file('latin-400'), file('latin-ext-400')], bold: [file('latin-700'), file('latin-ext-700')] }
const sizes = Object.keys(cardSizes) as CardSize[]
const ladder = readScript(
  'title Quay ladder <& "x"\nsport run\n\nwarm-up until press\n3 times, drop last recovery\n  400 m @ ' +
    '5k effort\n  recovery 1:30 jog\ncool-down 12:00\n',
  nobody,
).sessions[0]!

describe('a session on paper', () => {
  it.each(sizes)(
    'stays within the %s, whatever the session',
    size => {
      const { width, height } = cardSizes[size]
      fc.assert(
        fc.property(arbitrarySession, fc.boolean(), (session, withCode) => {
          const card = sessionCard(session, seenBy(ilse), { size, withCode })
          expect(card.pages.length).toBeGreaterThan(0)
          for (const mark of card.pages.flat()) {
            const [x, y] = mark.kind === 'line' ? [mark.x2, mark.y2] : [mark.x, mark.y]
            expect(x).toBeGreaterThanOrEqual(0)
            expect(x).toBeLessThanOrEqual(width)
            expect(y).toBeGreaterThanOrEqual(0)
            expect(y).toBeLessThanOrEqual(height)
          }
        }),
        { numRuns: 150 },
      )
    },
    120_000,
  )

  it('is a sound SVG of its real size, in black and white only', () => {
    const svg = cardSvg(sessionCard(ladder, seenBy(ilse), { size: 'arm-band', withCode: true }))
    expect(XMLValidator.validate(svg)).toBe(true)
    expect(svg).toContain('width="60mm" height="180mm"')
    expect(new Set(svg.match(/#[\da-f]{3,6}(?=")/gi))).toEqual(new Set(['#000', '#fff']))
    const lettered = cardSvg(sessionCard(ladder, seenBy(ilse), { size: 'arm-band' }), 0, {
      regular: [new Uint8Array([1, 2]), new Uint8Array([3])],
      bold: [new Uint8Array([4])],
    })
    expect(XMLValidator.validate(lettered)).toBe(true)
    expect([...lettered.matchAll(/font-weight:(\d+);src:url\(data:font\/woff;base64,([^)]+)\)/g)].map(match => match.slice(1))).toEqual([
      ['400', 'AQI='],
      ['400', 'Aw=='],
      ['700', 'BA=='],
    ])
    const parsed = new XMLParser({ ignoreAttributes: false }).parse(svg) as { svg: { title: string; text: { '#text': string }[] } }
    expect(parsed.svg.title).toBe('Quay ladder <& "x"')
    expect(parsed.svg.text.map(text => String(text['#text'])).join(' ')).toMatch(
      /3 times .*400 m @ 5k effort .*between: recovery 1:30 jog cool-down 12:00/,
    )
  })

  it('shows what will run: rows switched off are gone, and a dropped last recovery is only between rounds', () => {
    const written = readScript(
      'sport run\n\n1 times, drop last recovery\n  1 km\n  recovery 2:00\noff 5:00\n2 times, drop last recovery\n  400 m\n  rest 1:00\n',
      nobody,
    ).sessions[0]!
    const { session, between } = asWillRun(written)
    expect(session.items).toMatchObject([{ items: [{ end: { value: 1 } }] }, { items: [{ end: { value: 400 } }, { role: 'rest' }] }])
    expect([...between]).toEqual(['2.2'])
  })

  it('writes larger where there is room, and goes on over pages where there is none', () => {
    const many = readScript(`sport run\n\n${Array.from({ length: 60 }, (_, index) => `${index + 1}:00 @ 5k effort`).join('\n')}`, nobody)
      .sessions[0]!
    const lettersOf = (session: typeof many) =>
      sessionCard(session, seenBy(ilse), { size: 'arm-band' }).pages[0]!.find(mark => mark.kind === 'text' && mark.text.includes('@'))!
    expect((lettersOf(ladder) as { size: number }).size).toBeGreaterThan((lettersOf(many) as { size: number }).size)
    expect(sessionCard(many, seenBy(ilse), { size: 'index-card' }).pages.length).toBeGreaterThan(1)
    expect(fitsCode(ladder)).toBe(true)
    expect(fitsCode(many)).toBe(false)
  })

  it('is a PDF of its real size with letters of other alphabets, the same bytes each time', async () => {
    const card = sessionCard({ ...ladder, title: 'Š ladder × – \u6F22' }, seenBy(ilse), { size: 'a4', withCode: true })
    const bytes = await cardPdf(card, letters)
    const [page] = (await PDFDocument.load(bytes)).getPages()
    expect(page!.getWidth()).toBeCloseTo(595.28, 1)
    expect(page!.getHeight()).toBeCloseTo(841.89, 1)
    expect(await cardPdf(card, letters)).toEqual(bytes)
  }, 30_000)
})
