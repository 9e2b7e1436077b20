import { keepDraft } from './draft'
import type { KeptWords } from './keeping'
import { deskKeepHere as texts } from '~/texts/en'

/** A write to this browser's disk that takes longer is said. */
const sayWritingAfter = 100

/** Keeps the words on the desk in this browser, and says that they are once they are on the disk. */
export function useKeepHere(words: KeptWords) {
  const { text, keeping } = words
  return async function keepHere(why: string): Promise<void> {
    const [id, before] = [text.id, keeping.value.state]
    const late = setTimeout(() => {
      if (keeping.value.state === 'here') keeping.value = { state: 'writing' }
    }, sayWritingAfter)
    if (before === 'there' || before === 'empty') keeping.value = { state: 'writing' }
    const isKept = await keepDraft(id, words.tab, words.draft())
    clearTimeout(late)
    const now = keeping.value.state
    if (text.id !== id || now === 'differs' || now === 'there') return
    words.say(isKept ? { state: 'here', why } : { state: 'nowhere', why: texts.thisBrowserHasNo })
  }
}
