import type { MaybeRefOrGetter } from 'vue'
import { meaningOf } from '~~/core/script/reader/lesson'
import { wordsUseMeaning as texts } from '~/texts/en'

/** What a meaning comes to while it is typed, said in a sentence, and whether it can be kept. */
export function useMeaning(said: MaybeRefOrGetter<string>, means: MaybeRefOrGetter<string>) {
  const athletes = useAthleteStore()
  const meaning = computed(() => (toValue(means).trim() === '' ? null : meaningOf(toValue(means), athletes.standpoint)))
  const isUsable = computed(() => toValue(said).trim() !== '' && meaning.value !== null)
  const says = computed(() => {
    if (toValue(means).trim() === '') return texts.aLengthARow
    if (meaning.value === null) return texts.thatSaysNoLength
    return meaning.value.is === 'target' ? texts.aimsAt(meaning.value.words) : texts.readsAs(meaning.value.words.split('\n').join(' | '))
  })
  return { says, isUsable }
}
