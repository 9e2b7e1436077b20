import bold from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff?url'
import boldExtended from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-700-normal.woff?url'
import regular from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff?url'
import regularExtended from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-400-normal.woff?url'
import type { Card } from '~~/core/card/card'
import type { CardLetters } from '~~/core/card/pdf'
import { cardPdf } from '~~/core/card/pdf'

const bytesOf = async (url: string) => new Uint8Array(await (await fetch(url)).arrayBuffer())

/** The application's own letters, to be put into a file. */
export async function ownLetters(): Promise<CardLetters> {
  const [plain, plainExtended, strong, strongExtended] = await Promise.all([regular, regularExtended, bold, boldExtended].map(bytesOf))
  return { regular: [plain!, plainExtended!], bold: [strong!, strongExtended!] }
}

/** A card as a PDF, with the application's own letters. */
export const pdfOf = async (card: Card): Promise<Uint8Array> => cardPdf(card, await ownLetters())
