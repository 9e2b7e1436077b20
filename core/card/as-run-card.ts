import type { SheetRow } from '../reckon/sheet'
import type { Card, Measure, PaperSize } from './card'
import { layCard } from './card'
import { plainRow } from './plain-row'

/** A picture that is looked at on a phone. */
export const pictureSize = { width: 120, height: 150, margin: 8, largest: 6.5, smallest: 2.6 } as const satisfies PaperSize

/** The rows of a script with results: those behind its headers, each with what came of it. */
function rowsOf(asRun: string): SheetRow[] {
  const lines = asRun
    .slice(asRun.indexOf('\n\n') + 2)
    .split('\n')
    .filter(line => line.trim() !== '')
  const depthOf = (line: string | undefined) => (line === undefined ? 0 : Math.floor((line.length - line.trimStart().length) / 2))
  const counts: number[] = []
  return lines.map((line, index) => {
    const depth = depthOf(line)
    counts.length = depth + 1
    counts[depth] = (counts[depth] ?? 0) + 1
    const path = Array.from(counts, count => count ?? 1).join('.')
    return plainRow(path, depthOf(lines[index + 1]) > depth ? 'block' : 'step', line.trim().replace('  => ', ': '))
  })
}

/**
 * A session as it was carried out, as a card: its rows with what came of each.
 *
 * @param asRun as `printAsRun` writes it
 */
export const asRunCard = (title: string, summary: string, asRun: string, measure?: Measure): Card =>
  layCard({ title, summary, rows: rowsOf(asRun) }, pictureSize, measure)
