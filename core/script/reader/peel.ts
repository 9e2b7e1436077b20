import { patternOf } from '../../quantity/pattern'
/**
 * What mail, chat, web pages and tables put around a message: quote signs, bullets, numbering, markup, emoji, bars. It is
 * blanked, so that every column keeps its meaning; what parts two rows becomes a sign that parts two rows.
 */
const blank = (match: string) => ' '.repeat(match.length)
const parted = (match: string) => `;${' '.repeat(match.length - 1)}`

const quoteSigns = /^\s*(?:>\s*)+/
const chatStamp = patternOf('iu', [
  String.raw`^\s*(?:\[\d{1,2}[:.]\d{2}(?:[:.]\d{2})?[^\]]{0,24}\]|\d{1,2}[/.]\d{1,2}[/.]\d{2,4},?\s+\d{1,2}:\d{2}`,
  String.raw`(?:\s?[ap]m)?\s*-)\s*(?:[\p{L}][\p{L}\s.]{0,24}:(?:\s|$))?`,
])
const numbering = /^\s*(?:\(?\d{1,2}[.)]\s+|\(?[a-h][.)]\s+|\d\uFE0F?\u20E3\s*)(?=\S)/i
const bullet = /^\s*[-*\u2022\u2013\u25E6\u25AA\u2023\u00B7]\s+(?=\S)/
const blockEnds = /<\/(?:p|li|div|tr|h\d)>|<br\s*\/?>/gi
const tags = /<\/?[a-z][a-z0-9]*(?:\s[^<>]{0,200})?\/?>/gi
const markup = /\*\*|__|`|(?<![\p{L}\d])[_*](?=[\p{L}\d])|(?<=[\p{L}\d:.])[_*](?![\p{L}\d])/gu
const emoji = /\p{Extended_Pictographic}|\p{Regional_Indicator}|\p{Emoji_Modifier}|\uFE0F|\u200D|\u20E3/gu
const entities: Record<string, string> = { '&nbsp;': ' ', '&amp;': '&', '&quot;': '"', '&#39;': "'", '&lt;': '<', '&gt;': '>' }
const entity = /&(?:nbsp|amp|quot|#39|lt|gt);/g
const tableRow = /^\s*\|.*\|\s*$/
const tableRule = /^\s*\|?[\s|:-]*-[\s|:-]*\|?\s*$/
const cellSign = /"\s*,\s*"|^\s*"(?=[^"]*\d)|"\s*$/g
const dashed = /^\s*-(?=\d)/

/** A row of a table: the bars part its cells, and a word in the first heads the rest. */
function peelTable(line: string): string {
  if (tableRule.test(line)) return blank(line)
  const cells = line.split('|')
  const isHeaded = cells.length > 3 && !/\d/.test(cells[1]!)
  return cells
    .map(
      (cell, index) => `${index === 0 ? '' : index === 1 || index === cells.length - 1 ? ' ' : index === 2 && isHeaded ? ':' : ';'}${cell}`,
    )
    .join('')
}

const isQuoted = (line: string) => /^\s*".*","/.test(line)

function peelLine(raw: string, isDashed: boolean): string {
  let line = raw.replace(quoteSigns, blank).replace(chatStamp, blank)
  if (line.includes('|') && (tableRow.test(line) || tableRule.test(line))) line = peelTable(line)
  if (line.includes('<')) line = line.replace(blockEnds, parted).replace(tags, blank)
  if (line.includes('&')) line = line.replace(entity, match => entities[match]!.padEnd(match.length))
  if (isQuoted(line)) line = line.replace(cellSign, match => (match.includes(',') ? `;${' '.repeat(match.length - 1)}` : blank(match)))
  line = line.replace(numbering, blank)
  if (isDashed) line = line.replace(dashed, blank)
  if (/[*_`]/.test(line)) line = line.replace(bullet, blank).replace(markup, blank)
  return line.replace(emoji, blank)
}

/** What stands in quotes is a name, and stays as it is. */
function withQuotes(line: string, peeled: string): string {
  if (isQuoted(line) || !line.includes('"')) return peeled
  let kept = peeled
  for (const { 0: name, index } of line.matchAll(/(?<!\d)"(?:[^"\\]|\\.)*"/g))
    kept = kept.slice(0, index) + name + kept.slice(index + name.length)
  return kept
}

const isScript = /^(?:title|sport|place|day|ceiling|prompt)\b|^\s*(?:#|unread |leg |---)|\?\{/i
const isDecorated = /[>|<&*_`"\u2022]|\u20E3|^\s*(?:\(?[\da-h]{1,2}[.)]|\[|-|\d{1,2}[/.]\d)|\p{Extended_Pictographic}/iu

/** A quote sign or a chat stamp with no words behind it parts rows as an empty line does. */
const isBareFrame = (line: string) => /^\s*>+\s*$/.test(line) || line.replace(chatStamp, '').trim() === ''

/** The lines of a text without what stands around their words, each as long as before. Headers and notes stay as they are. */
export function peel(lines: readonly string[]): string[] {
  const isDashed = lines.filter(line => dashed.test(line)).length > 1
  return lines.map(line => {
    if (isScript.test(line)) return line
    const note = line.search(/\s{2}#(?:\s|$)/)
    const words = note < 0 ? line : line.slice(0, note)
    const peeled = isDecorated.test(words) ? withQuotes(words, peelLine(words, isDashed)) + line.slice(words.length) : line
    return peeled.trim() === '' && !isBareFrame(line) ? line : peeled
  })
}
