import { foldPhrases } from './phrases'

const foldings: Record<string, string> = {
  '\u2013': '-',
  '\u2014': '-',
  '\u2212': '-',
  '\u2010': '-',
  '\u2011': '-',
  '\u00D7': 'x',
  '\u2715': 'x',
  '\u2019': "'",
  '\u2018': "'",
  '\u2032': "'",
  '\u00B4': "'",
  '\u2033': '"',
  '\u201D': '"',
  '\u201C': '"',
  '\u00A0': ' ',
  '\u202F': ' ',
  '\u2009': ' ',
  '\t': ' ',
  '\uFF0C': ',',
  '\u2022': '*',
}

/** Spellings made one, each as long as it was, so that columns keep their meaning. */
export function fold(text: string): string {
  return foldPhrases(text.replace(unusual, letter => foldings[letter]!))
}

const unusual = /[\u2013\u2014\u2212\u2010\u2011\u00D7\u2715\u2019\u2018\u2032\u00B4\u2033\u201D\u201C\u00A0\u202F\u2009\t\uFF0C\u2022]/g
