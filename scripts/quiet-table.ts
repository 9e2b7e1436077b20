/**
 * npm run quiet-table: works the quiet bands that ship anew, of the usual steadiness in every sport, measure and place on every
 * watch that ships. To be run when the steadiness, the wandering or the watches change; a test says when it is behind.
 */
import { writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { usualWidths } from '../tests/support/usual-widths'

const rows = usualWidths().map(([key, width]) => `  '${key}': ${width},`)
const text = `/** Widths of quiet bands to each side, by what they go by (\`widthKey\`). Made by \`npm run quiet-table\`. */
export const knownWidths: Readonly<Record<string, number>> = {
${rows.join('\n')}
}
`
writeFileSync(fileURLToPath(new URL('../core/nudge/quiet-table.ts', import.meta.url)), text)
