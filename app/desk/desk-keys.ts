import type { AltKey } from '~/keys/alt-key'

/** What a key does on the whole desk, beside those of a row. */
export interface DeskKey extends AltKey {
  name: 'fix' | 'row' | 'quiet' | 'deeper' | 'out'
  words: string
}

export const deskKeys: readonly DeskKey[] = [
  { name: 'fix', code: 'Enter', sign: '⏎', words: 'take the fix of this row' },
  { name: 'row', code: 'KeyI', sign: 'I', words: "change this row's length and target" },
  { name: 'quiet', code: 'KeyQ', sign: 'Q', words: 'take the quiet band in every row that would nudge' },
  { name: 'deeper', code: 'Period', sign: '.', words: 'deeper, into the repeat above' },
  { name: 'out', code: 'Comma', sign: ',', words: 'out of it' },
]

export const deskKey = (name: DeskKey['name']): DeskKey => deskKeys.find(key => key.name === name)!
