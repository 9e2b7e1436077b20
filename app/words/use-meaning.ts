import type { MaybeRefOrGetter } from 'vue'
import { meaningOf } from '~~/core/script/reader/lesson'

/** What a meaning comes to while it is typed, said in a sentence, and whether it can be kept. */
export function useMeaning(said: MaybeRefOrGetter<string>, means: MaybeRefOrGetter<string>) {
  const athletes = useAthleteStore()
  const meaning = computed(() => (toValue(means).trim() === '' ? null : meaningOf(toValue(means), athletes.standpoint)))
  const isUsable = computed(() => toValue(said).trim() !== '' && meaning.value !== null)
  const says = computed(() => {
    if (toValue(means).trim() === '') return 'A length, a row, or a pace or effort to aim at.'
    if (meaning.value === null) return 'That says no length and nothing to aim at.'
    return meaning.value.is === 'target' ? `Aims at ${meaning.value.words}.` : `Reads as ${meaning.value.words.split('\n').join(' | ')}.`
  })
  return { says, isUsable }
}
