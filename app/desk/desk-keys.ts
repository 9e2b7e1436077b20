import type { AltKey } from '~/keys/alt-key'
import { deskDeskKeys as texts } from '~/texts/en'

/** What a key does on the whole desk, beside those of a row. */
export interface DeskKey extends AltKey {
  name: 'fix' | 'row' | 'quiet' | 'deeper' | 'out'
  words: string
}

export const deskKeys: readonly DeskKey[] = [
  { name: 'fix', code: 'Enter', sign: '⏎', words: texts.takeTheFixOf },
  { name: 'row', code: 'KeyI', sign: 'I', words: texts.changeThisRowS },
  { name: 'quiet', code: 'KeyQ', sign: 'Q', words: texts.takeTheQuietBand },
  { name: 'deeper', code: 'Period', sign: '.', words: texts.deeperIntoTheRepeat },
  { name: 'out', code: 'Comma', sign: ',', words: texts.outOfIt },
]

export const deskKey = (name: DeskKey['name']): DeskKey => deskKeys.find(key => key.name === name)!
