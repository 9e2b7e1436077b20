import type { KeptSession } from '~~/shared/api'
import { clearDraft, draftsOf, forgetFresh, isFresh, keepDraft, keptDraft } from '~/desk/draft'
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

/** Where the words on the desk are kept: drafts in this browser at every change, the server behind it, and what differs. */
export const useDeskKeepingStore = defineStore('desk-keeping', () => {
  const text = useDeskTextStore()
  const base = ref(0)
  const keeping = ref<Keeping>({ state: 'empty' })
  let tab = ''
  let timer: ReturnType<typeof setTimeout> | undefined
  let saving: Promise<void> | null = null
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('agonis.desk')

  const draft = () => ({ script: text.script, base: base.value, source: text.source })

  function schedule(after: number) {
    clearTimeout(timer)
    timer = setTimeout(() => void save(), after)
  }

  function take(kept: Pick<KeptSession, 'script' | 'number' | 'source' | 'updatedAt'>) {
    text.show(kept)
    base.value = kept.number
    keeping.value = { state: 'there', at: kept.updatedAt }
  }

  function clear() {
    text.show({ script: '', source: null })
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

  /** What the server keeps of a session; null where it cannot know it, or cannot be asked and a draft will do. */
  async function loadKept(wanted: string): Promise<KeptSession | null> {
    if (isFresh(wanted)) return null
    return api<KeptSession>(`/sessions/${wanted}`).catch((error: unknown) => {
      const told = toldOf(error)
      const hasDraft = keptDraft(wanted, tab) !== null || draftsOf(wanted).length > 0
      if (hasDraft && (told.status === 404 || told.status === 0)) return null
      throw error
    })
  }

  /** Opens a session: its newest words, of the server or of a draft. Gives what the server keeps of it. */
  async function open(wanted: string): Promise<KeptSession | null> {
    clearTimeout(timer)
    await save()
    tab = await ownTab()
    text.id = wanted
    const kept = await loadKept(wanted)
    if (text.id !== wanted) return kept
    const own = keptDraft(wanted, tab)
    const left = await leftBehind(wanted, kept?.script)
    const first = own ?? left
    if (!first || first.script === kept?.script) {
      if (own) clearDraft(wanted, tab)
      if (kept) take(kept)
      else clear()
      return kept
    }
    text.show(first)
    base.value = first.base
    keepDraft(wanted, tab, draft())
    if (!own && left) clearDraft(wanted, left.tab)
    if (own && left && left.script !== own.script) {
      keeping.value = { state: 'differs', theirs: { script: left.script, number: left.base, source: left.source, tab: left.tab } }
      return kept
    }
    keeping.value = { state: 'here', why: 'not there yet' }
    schedule(0)
    return kept
  }

  /** Says where the words are; what is said already is not said anew, since a screen would draw it anew. */
  function say(now: Extract<Keeping, { why: string }>) {
    const before = keeping.value
    if (before.state !== now.state || before.why !== now.why) keeping.value = now
  }

  function onChange() {
    const isKept = keepDraft(text.id, tab, draft())
    if (keeping.value.state === 'differs') return
    say(isKept ? { state: 'here', why: 'on its way there' } : { state: 'nowhere', why: 'this browser has no room left' })
    schedule(saveAfter)
  }
  watch(() => text.changes, onChange, { flush: 'sync' })

  function onSaved(kept: KeptSession, script: string, source: string | null) {
    forgetFresh(kept.id)
    base.value = kept.number
    if (text.script === script && text.source === source) {
      clearDraft(kept.id, tab)
      keeping.value = { state: 'there', at: kept.updatedAt }
    } else {
      keepDraft(kept.id, tab, draft())
      schedule(saveAfter)
    }
  }

  function onRefused(error: unknown) {
    const told = toldOf(error)
    if (told.status === 409) {
      keeping.value = { state: 'differs', theirs: told.theirs as KeptSession }
      return
    }
    if (keeping.value.state !== 'nowhere') keeping.value = { state: 'here', why: told.problem }
    if (told.status === 0 || told.status >= 500) schedule(retryAfter)
  }

  async function saveOnce() {
    const [ownId, script, source] = [text.id, text.script, text.source]
    try {
      const kept = await api<KeptSession>(`/sessions/${ownId}`, { method: 'PUT', body: { base: base.value, script, source } })
      channel?.postMessage({ id: ownId, number: kept.number, script, source, updatedAt: kept.updatedAt } satisfies KeptMessage)
      if (text.id === ownId) onSaved(kept, script, source)
      else clearDraft(ownId, tab)
    } catch (error) {
      if (text.id === ownId) onRefused(error)
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
    if (data.id !== text.id || data.number <= base.value) return
    if (keeping.value.state === 'there' || keeping.value.state === 'empty') take(data)
  })

  /** Mine goes on top of theirs, or theirs comes onto the desk. */
  function resolveConflict(choice: 'mine' | 'theirs') {
    if (keeping.value.state !== 'differs') return
    const { theirs } = keeping.value
    if (theirs.tab !== undefined) clearDraft(text.id, theirs.tab)
    else base.value = theirs.number
    if (choice === 'theirs') {
      text.show(theirs)
      if (theirs.tab === undefined) {
        clearDraft(text.id, tab)
        keeping.value = { state: 'there', at: theirs.updatedAt! }
        return
      }
      base.value = theirs.number
    }
    keepDraft(text.id, tab, draft())
    keeping.value = { state: 'here', why: 'on its way there' }
    schedule(0)
  }

  /** Waits until the words are on the server, for what needs them there. */
  async function flush(): Promise<boolean> {
    clearTimeout(timer)
    await save()
    return keeping.value.state === 'there'
  }

  return { base, keeping, open, save, resolveConflict, flush }
})
