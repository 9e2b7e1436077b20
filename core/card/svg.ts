import { toBase64 } from '../quantity/base64'
import type { Card, Mark } from './card'
import type { CardLetters } from './pdf'

const escapes: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' }
const escaped = (text: string) => text.replace(/[&<>"]/g, letter => escapes[letter]!).replace(/[^\P{Cc}\t]/gu, '')
const mm = (value: number) => String(Math.round(value * 100) / 100)

function drawMark(mark: Mark): string {
  switch (mark.kind) {
    case 'text':
      return (
        `<text x="${mm(mark.x)}" y="${mm(mark.y)}" font-size="${mm(mark.size)}"` +
        `${mark.bold ? ' font-weight="700"' : ''} xml:space="preserve">${escaped(mark.text)}</text>`
      )
    case 'line':
      return (
        `<line x1="${mm(mark.x1)}" y1="${mm(mark.y1)}" x2="${mm(mark.x2)}" y2="` +
        `${mm(mark.y2)}" stroke="#000" stroke-width="${mm(mark.width)}"/>`
      )
    case 'squares': {
      const side = mark.size / mark.cells.length
      const path = mark.cells.flatMap((row, y) =>
        row.flatMap((isDark, x) =>
          isDark ? [`M${mm(mark.x + x * side)} ${mm(mark.y + y * side)}h${mm(side + 0.02)}v${mm(side + 0.02)}h-${mm(side + 0.02)}z`] : [],
        ),
      )
      return `<path d="${path.join('')}"/>`
    }
  }
}

/** One part after the other: what the first lacks the next may have. */
function fontFaces({ regular, bold }: CardLetters): string {
  const source = (bytes: Uint8Array) => `url(data:font/woff;base64,${toBase64(bytes)})`
  const face = (weight: number, of: readonly Uint8Array[]) =>
    of.map((bytes, part) => `@font-face{font-family:'Card letters ${part + 1}';font-weight:${weight};src:${source(bytes)}}`).join('')
  return (
    `<style>${face(400, regular)}${face(700, bold)}text{font-family:` +
    `${regular.map((_, part) => `'Card letters ${part + 1}'`).join(',')},sans-serif}</style>`
  )
}

/**
 * One page of a card as an SVG of its real size, black on white.
 *
 * @param letters put into the file, so that it looks the same where they are not installed
 */
export function cardSvg(card: Card, page = 0, letters?: CardLetters): string {
  const marks = card.pages[page] ?? []
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${card.width}mm" height="${card.height}mm" viewBox="0 0 ` +
    `${card.width} ` +
    `${card.height}" font-family="'Atkinson Hyperlegible Next Variable', 'Atkinson Hyperlegible Next', sans-serif" fill="#000"><title>` +
    `${escaped(card.title)}</title>${letters ? fontFaces(letters) : ''}<rect width="${card.width}" height="` +
    `${card.height}" fill="#fff"/>${marks.map(drawMark).join('')}</svg>\n`
  )
}
