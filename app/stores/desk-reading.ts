import { knownSeconds, reckon } from '~~/core/reckon/reckon'
import { hardSeconds, sheetRows } from '~~/core/reckon/sheet'
import { readScript } from '~~/core/script/reader/read-script'

/** What the words on the desk read as and come to: all of it follows from the text and the standpoint. */
export const useDeskReadingStore = defineStore('desk-reading', () => {
  const text = useDeskTextStore()
  const athletes = useAthleteStore()
  /** How long there is today, as the athlete says; null where they say nothing. */
  const minutesToday = ref<number | null>(null)

  const read = (words: string) => readScript(words, athletes.standpoint)
  const reading = computed(() => read(text.script))
  const session = computed(() => reading.value.sessions[0])
  const reckoning = computed(() => session.value && reckon(session.value, athletes.standpoint))
  const rows = computed(() => (session.value && reckoning.value ? sheetRows(session.value, reckoning.value, athletes.standpoint) : []))
  const places = computed(() => reading.value.places[0] ?? new Map())
  const lineOf = (path: string) => places.value.get(path)?.line ?? null
  /** Seconds that the words fix themselves, and those of the hard part. */
  const fixed = computed(() => (reckoning.value ? knownSeconds(reckoning.value) : 0))
  const hard = computed(() => (session.value && reckoning.value ? hardSeconds(session.value, reckoning.value, athletes.standpoint) : 0))

  return { minutesToday, read, reading, session, reckoning, rows, places, lineOf, fixed, hard }
})
