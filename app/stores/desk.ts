import { hardSeconds, sheetRows } from '~~/core/reckon/sheet'
import { knownSeconds, reckon } from '~~/core/reckon/reckon'
import { readScript } from '~~/core/script/read'
import { unitsOf } from '~~/core/athlete/athlete'
import type { KeptSession } from '~~/shared/api'
import { clearDraft, keepDraft, keptDraft } from '~/desk/draft'

/** Where the words are safe: nowhere yet, in this browser, on the server, or differing on both. */
export type Keeping
  = | { state: 'empty' }
    | { state: 'here', why: string }
    | { state: 'nowhere', why: string }
    | { state: 'there', at: string }
    | { state: 'differs', theirs: KeptSession }

const saveAfter = 600
const retryAfter = 3000

/** The session on the desk: its words, what they read as, and where they are kept. */
export const useDeskStore = defineStore('desk', () => {
  const athletes = useAthleteStore()
  const id = ref('')
  const script = ref('')
  const base = ref(0)
  const keeping = ref<Keeping>({ state: 'empty' })
  let timer: ReturnType<typeof setTimeout> | undefined
  let saving: Promise<void> | null = null

  const reading = computed(() => readScript(script.value, { units: unitsOf(athletes.athlete), preferredMeasure: athletes.athlete.preferredMeasure }))
  const session = computed(() => reading.value.sessions[0])
  const reckoning = computed(() => session.value && reckon(session.value, { athlete: athletes.athlete }))
  const rows = computed(() => session.value && reckoning.value ? sheetRows(session.value, reckoning.value, athletes.athlete) : [])
  const places = computed(() => reading.value.places[0] ?? new Map())
  const known = computed(() => reckoning.value ? knownSeconds(reckoning.value) : 0)
  const hard = computed(() => session.value && reckoning.value ? hardSeconds(session.value, reckoning.value, athletes.athlete) : 0)

  function schedule(after: number) {
    clearTimeout(timer)
    timer = setTimeout(() => void save(), after)
  }

  async function open(wanted: string) {
    clearTimeout(timer)
    await saving
    id.value = wanted
    const draft = keptDraft(wanted)
    const kept = await api<KeptSession>(`/sessions/${wanted}`).catch((error: unknown) => {
      const told = toldOf(error)
      if (draft && (told.status === 404 || told.status === 0)) return null
      throw error
    })
    if (id.value !== wanted) return
    script.value = draft?.script ?? kept?.script ?? ''
    base.value = draft?.base ?? kept?.number ?? 0
    if (draft && kept && draft.script === kept.script) {
      clearDraft(wanted)
      base.value = kept.number
    }
    else if (draft) {
      keeping.value = { state: 'here', why: 'not there yet' }
      schedule(0)
      return
    }
    keeping.value = kept ? { state: 'there', at: kept.updatedAt } : { state: 'empty' }
  }

  function begin(newId: string) {
    clearTimeout(timer)
    id.value = newId
    script.value = ''
    base.value = 0
    keeping.value = { state: 'empty' }
  }

  function type(text: string) {
    if (text === script.value) return
    script.value = text
    const isKept = keepDraft(id.value, { script: text, base: base.value })
    if (keeping.value.state === 'differs') return
    keeping.value = isKept ? { state: 'here', why: 'on its way there' } : { state: 'nowhere', why: 'this browser has no room left' }
    schedule(saveAfter)
  }

  async function saveOnce() {
    const [ownId, text] = [id.value, script.value]
    try {
      const kept = await api<KeptSession>(`/sessions/${ownId}`, { method: 'PUT', body: { base: base.value, script: text } })
      if (id.value !== ownId) return
      base.value = kept.number
      if (script.value === text) {
        clearDraft(ownId)
        keeping.value = { state: 'there', at: kept.updatedAt }
      }
      else {
        keepDraft(ownId, { script: script.value, base: base.value })
        schedule(saveAfter)
      }
    }
    catch (error) {
      const told = toldOf(error)
      if (id.value !== ownId) return
      if (told.status === 409) {
        keeping.value = { state: 'differs', theirs: told.theirs as KeptSession }
        return
      }
      if (keeping.value.state !== 'nowhere') keeping.value = { state: 'here', why: told.problem }
      if (told.status === 0 || told.status >= 500) schedule(retryAfter)
    }
  }

  async function save() {
    await saving
    if (keeping.value.state === 'there' || keeping.value.state === 'empty' || keeping.value.state === 'differs') return
    saving = saveOnce().finally(() => saving = null)
    await saving
  }

  /** Settles a difference: mine goes on top of theirs, or theirs comes onto the desk. */
  function settle(choice: 'mine' | 'theirs') {
    if (keeping.value.state !== 'differs') return
    const { theirs } = keeping.value
    base.value = theirs.number
    if (choice === 'theirs') {
      script.value = theirs.script
      clearDraft(id.value)
      keeping.value = { state: 'there', at: theirs.updatedAt }
      return
    }
    keepDraft(id.value, { script: script.value, base: base.value })
    keeping.value = { state: 'here', why: 'on its way there' }
    schedule(0)
  }

  /** Waits until the words are on the server, for what needs them there. */
  async function settleSave(): Promise<boolean> {
    clearTimeout(timer)
    await save()
    return keeping.value.state === 'there'
  }

  return { id, script, base, keeping, reading, session, reckoning, rows, places, known, hard, open, begin, type, settle, settleSave }
})
