import type { OwnWord } from '~~/core/athlete/athlete'
import type { Remark } from '~~/core/script/remark'
import { lessonFrom } from '~~/core/script/reader/lesson'
import type { MessageHints } from '~~/core/script/reader/options'
import { withoutOwnWord, withOwnWord } from '~~/core/script/token/own-words'

/** What the athlete has said that words mean, and what an answer of theirs would teach: kept only when they say so. */
export const useOwnWordsStore = defineStore('own-words', () => {
  const athletes = useAthleteStore()
  const words = computed(() => athletes.athlete.words ?? [])
  const offered = ref<OwnWord | null>(null)

  /** An answer was taken, in the text that its question was asked about. */
  function answered(text: string, remark: Remark, replacement: string, hints: MessageHints = {}) {
    offered.value = lessonFrom(text, remark, replacement, athletes.standpoint, hints)
  }

  /** Saves changed words on top of the athlete as they are now, whoever saved them last. */
  async function save(change: (words: readonly OwnWord[]) => OwnWord[]) {
    const attempt = () => athletes.save({ ...athletes.athlete, words: change(words.value) })
    try {
      await attempt()
    } catch (error) {
      if (toldOf(error).status !== 409) throw error
      await athletes.load()
      await attempt()
    }
  }

  async function keep(word: OwnWord) {
    await save(known => withOwnWord(known, word))
    if (offered.value?.said === word.said) offered.value = null
  }
  const forget = (said: string) => save(known => withoutOwnWord(known, said))

  return { words, offered, answered, keep, forget }
})
