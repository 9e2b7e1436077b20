import fontkit from '@pdf-lib/fontkit'
import type { PDFFont, PDFPage } from 'pdf-lib'
import { PDFDocument, rgb } from 'pdf-lib'
import type { Card, Mark } from './card'

/** The bytes of the letters: each of the two weights in as many files as its alphabets need, tried in order. */
export interface CardLetters {
  regular: Uint8Array[]
  bold: Uint8Array[]
}

interface Letters {
  font: PDFFont
  known: Set<number>
}

const pointsPerMm = 72 / 25.4
const black = rgb(0, 0, 0)

const runsOf = (text: string, letters: readonly Letters[]): { font: PDFFont; text: string }[] => {
  const runs: { font: PDFFont; text: string }[] = []
  for (const letter of text) {
    const own = letters.find(({ known }) => known.has(letter.codePointAt(0)!))
    const { font } = own ?? letters[0]!
    const shown = own ? letter : '?'
    const last = runs.at(-1)
    if (last?.font === font) last.text += shown
    else runs.push({ font, text: shown })
  }
  return runs
}

function drawText(page: PDFPage, mark: Extract<Mark, { kind: 'text' }>, letters: readonly Letters[], height: number): void {
  const size = mark.size * pointsPerMm
  const runs = runsOf(mark.text, letters)
  let x = mark.x * pointsPerMm
  for (const run of runs) {
    page.drawText(run.text, { x, y: (height - mark.y) * pointsPerMm, size, font: run.font, color: black })
    x += run.font.widthOfTextAtSize(run.text, size)
  }
}

function drawMark(page: PDFPage, mark: Mark, regular: readonly Letters[], bold: readonly Letters[], height: number): void {
  const at = (x: number, y: number) => ({ x: x * pointsPerMm, y: (height - y) * pointsPerMm })
  switch (mark.kind) {
    case 'text':
      return drawText(page, mark, mark.bold ? bold : regular, height)
    case 'line':
      return page.drawLine({ start: at(mark.x1, mark.y1), end: at(mark.x2, mark.y2), thickness: mark.width * pointsPerMm, color: black })
    case 'squares': {
      const side = mark.size / mark.cells.length
      mark.cells.forEach((row, y) =>
        row.forEach((isDark, x) => {
          if (isDark)
            page.drawRectangle({
              ...at(mark.x + x * side, mark.y + (y + 1) * side),
              width: side * pointsPerMm + 0.05,
              height: side * pointsPerMm + 0.05,
              color: black,
            })
        }),
      )
    }
  }
}

/**
 * A card as a PDF of its real size, its letters inside. A sign that no letter file has is a question mark.
 *
 * @returns the bytes of the file
 */
export async function cardPdf(card: Card, letters: CardLetters): Promise<Uint8Array> {
  const pdf = await PDFDocument.create()
  pdf.registerFontkit(fontkit)
  const embed = (files: Uint8Array[]) =>
    Promise.all(
      files.map(async (bytes): Promise<Letters> => {
        const font = await pdf.embedFont(bytes, { subset: true })
        return { font, known: new Set(font.getCharacterSet()) }
      }),
    )
  const [regular, bold] = [await embed(letters.regular), await embed(letters.bold)]
  pdf.setTitle(card.title)
  pdf.setCreator('Agonis')
  pdf.setCreationDate(new Date(0))
  pdf.setModificationDate(new Date(0))
  for (const marks of card.pages) {
    const page = pdf.addPage([card.width * pointsPerMm, card.height * pointsPerMm])
    for (const mark of marks) drawMark(page, mark, regular, bold, card.height)
  }
  return pdf.save()
}
