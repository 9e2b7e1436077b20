import { advise } from '~~/core/advise/advise'
import { hardSeconds, sheetRows } from '~~/core/reckon/sheet'
import { knownSeconds, reckon } from '~~/core/reckon/reckon'
import { readScript } from '~~/core/script/reader/read-script'
import type { KeptSession } from '~~/shared/api'
import { clearDraft, draftsOf, isFresh, keepDraft, keptDraft } from '~/desk/draft'
import { isAlive, ownTab } from '~/desk/tab'

/** The other side of a difference: kept on the server, or left in this browser by a tab that is gone. */
export interface OtherSide {
  script: string
  number: number
  source: string | null
  tab?: string
  updatedAt?: string
}

/** Where the words are safe: nowhere yet, in this browser, on the server, or differing on both. */
export type Keeping =
  | { state: 'empty' }
  | { state: 'here'; why: string }
  | { state: 'nowhere'; why: string }
  | { state: 'there'; at: string }
  | { state: 'differs'; theirs: OtherSide }

const saveAfter = 600
const retryAfter = 3000

interface KeptMessage {
  id: string
  number: number
  script: string
  source: string | null
  updatedAt: string
}

/** The session on the desk: its words, what they read as, and where they are kept. */
export const useDeskStore = defineStore('desk', () => {
  const athletes = useAthleteStore()
  const id = ref('')
  const script = ref('')
  const source = ref<string | null>(null)
  const base = ref(0)
  const tags = ref<string[]>([])
  const dismissed = ref<string[]>([])
  const minutesToday = ref<number | null>(null)
  const keeping = ref<Keeping>({ state: 'empty' })
  let tab = ''
  let timer: ReturnType<typeof setTimeout> | undefined
  let saving: Promise<void> | null = null
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('agonis.desk')

  const read = (text: string) => readScript(text, athletes.standpoint)
  const reading = computed(() => read(script.value))
  const session = computed(() => reading.value.sessions[0])
  const reckoning = computed(() => session.value && reckon(session.value, athletes.standpoint))
  const rows = computed(() => (session.value && reckoning.value ? sheetRows(session.value, reckoning.value, athletes.standpoint) : []))
  const places = computed(() => reading.value.places[0] ?? new Map())
  const lineOf = (path: string) => places.value.get(path)?.line ?? null
  const known = computed(() => (reckoning.value ? knownSeconds(reckoning.value) : 0))
  const hard = computed(() => (session.value && reckoning.value ? hardSeconds(session.value, reckoning.value, athletes.standpoint) : 0))
  const suggestions = computed(() =>
    session.value && reckoning.value && reading.value.sessions.length === 1
      ? advise(
          session.value,
          reckoning.value,
          athletes.standpoint,
          minutesToday.value === null ? {} : { secondsToday: minutesToday.value * 60 },
        )
      : [],
  )

  const draft = () => ({ script: script.value, base: base.value, source: source.value })

  function schedule(after: number) {
    clearTimeout(timer)
    timer = setTimeout(() => void save(), after)
  }

  function take(kept: Pick<KeptSession, 'script' | 'number' | 'source' | 'updatedAt'>) {
    script.value = kept.script
    source.value = kept.source
    base.value = kept.number
    keeping.value = { state: 'there', at: kept.updatedAt }
  }

  function clear() {
    script.value = ''
    source.value = null
    base.value = 0
    keeping.value = { state: 'empty' }
  }

  /** A draft by a tab that is gone and says something else than what is kept. */
  async function leftBehind(wanted: string, kept: string | undefined) {
    for (const left of draftsOf(wanted)) {
      if (left.tab === tab || (left.tab !== '' && (await isAlive(left.tab)))) continue
      if (left.script !== kept && left.script.trim() !== '') return left
      clearDraft(wanted, left.tab)
    }
    return null
  }

  async function open(wanted: string) {
    clearTimeout(timer)
    await save()
    tab = await ownTab()
    id.value = wanted
    const isNew = isFresh(wanted)
    const kept = await api<KeptSession>(`/sessions/${wanted}`).catch((error: unknown) => {
      const told = toldOf(error)
      if (isNew && told.status === 404) return null
      if ((keptDraft(wanted, tab) || draftsOf(wanted).length > 0) && (told.status === 404 || told.status === 0)) return null
      throw error
    })
    if (id.value !== wanted) return
    tags.value = kept?.tags ?? []
    dismissed.value = kept?.dismissed ?? []
    const own = keptDraft(wanted, tab)
    const left = await leftBehind(wanted, kept?.script)
    const first = own ?? left
    if (!first || first.script === kept?.script) {
      if (own) clearDraft(wanted, tab)
      if (kept) take(kept)
      else clear()
      return
    }
    script.value = first.script
    source.value = first.source
    base.value = first.base
    keepDraft(wanted, tab, draft())
    if (!own && left) clearDraft(wanted, left.tab)
    if (own && left && left.script !== own.script) {
      keeping.value = { state: 'differs', theirs: { script: left.script, number: left.base, source: left.source, tab: left.tab } }
      return
    }
    keeping.value = { state: 'here', why: 'not there yet' }
    schedule(0)
  }

  /** Says where the words are; what is said already is not said anew, since a screen would draw it anew. */
  function say(now: Extract<Keeping, { why: string }>) {
    const before = keeping.value
    if (before.state !== now.state || before.why !== now.why) keeping.value = now
  }

  function changed() {
    const isKept = keepDraft(id.value, tab, draft())
    if (keeping.value.state === 'differs') return
    say(isKept ? { state: 'here', why: 'on its way there' } : { state: 'nowhere', why: 'this browser has no room left' })
    schedule(saveAfter)
  }

  function type(text: string) {
    if (text === script.value) return
    script.value = text
    changed()
  }

  /** Keeps words as they were pasted beside what is made of them; a further paste is added below. */
  function paste(text: string) {
    source.value = source.value === null ? text : `${source.value}\n${text}`
    changed()
  }

  function dropSource() {
    source.value = null
    changed()
  }

  async function saveOnce() {
    const [ownId, text, words] = [id.value, script.value, source.value]
    try {
      const kept = await api<KeptSession>(`/sessions/${ownId}`, { method: 'PUT', body: { base: base.value, script: text, source: words } })
      channel?.postMessage({ id: ownId, number: kept.number, script: text, source: words, updatedAt: kept.updatedAt } satisfies KeptMessage)
      if (id.value !== ownId) {
        clearDraft(ownId, tab)
        return
      }
      base.value = kept.number
      if (script.value === text && source.value === words) {
        clearDraft(ownId, tab)
        keeping.value = { state: 'there', at: kept.updatedAt }
      } else {
        keepDraft(ownId, tab, draft())
        schedule(saveAfter)
      }
    } catch (error) {
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
    saving = saveOnce().finally(() => (saving = null))
    await saving
  }

  /** Another tab has put newer words there: they come onto this desk too, unless this one has words of its own. */
  channel?.addEventListener('message', ({ data }: MessageEvent<KeptMessage>) => {
    if (data.id !== id.value || data.number <= base.value) return
    if (keeping.value.state === 'there' || keeping.value.state === 'empty') take(data)
  })

  /** Settles a difference: mine goes on top of theirs, or theirs comes onto the desk. */
  function settle(choice: 'mine' | 'theirs') {
    if (keeping.value.state !== 'differs') return
    const { theirs } = keeping.value
    if (theirs.tab !== undefined) clearDraft(id.value, theirs.tab)
    else base.value = theirs.number
    if (choice === 'theirs') {
      script.value = theirs.script
      source.value = theirs.source
      if (theirs.tab === undefined) {
        clearDraft(id.value, tab)
        keeping.value = { state: 'there', at: theirs.updatedAt! }
        return
      }
      base.value = theirs.number
    }
    keepDraft(id.value, tab, draft())
    keeping.value = { state: 'here', why: 'on its way there' }
    schedule(0)
  }

  /** Waits until the words are on the server, for what needs them there. */
  async function flush(): Promise<boolean> {
    clearTimeout(timer)
    await save()
    return keeping.value.state === 'there'
  }

  async function dismiss(keys: string[]) {
    dismissed.value = keys
    if (await flush()) await api(`/sessions/${id.value}/dismissed`, { method: 'PUT', body: { dismissed: keys } })
  }

  async function setTags(wanted: string[]) {
    if (!(await flush())) return
    tags.value = (await api<{ tags: string[] }>(`/sessions/${id.value}/tags`, { method: 'PUT', body: { tags: wanted } })).tags
  }

  return {
    id,
    script,
    source,
    base,
    tags,
    dismissed,
    minutesToday,
    keeping,
    read,
    reading,
    session,
    reckoning,
    rows,
    places,
    lineOf,
    known,
    hard,
    suggestions,
    open,
    type,
    paste,
    dropSource,
    save,
    settle,
    flush,
    dismiss,
    setTags,
  }
})
