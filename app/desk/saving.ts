import type { KeptSession } from '~~/shared/api'
import { clearDraft, forgetFresh, keepDraft, keptDraft } from './draft'
import type { KeptWords } from './keeping'

const saveAfter = 600
const retryAfter = 3000

/** What a tab tells the others when the server has taken its words. */
export interface KeptMessage {
  id: string
  number: number
  script: string
  source: string | null
  updatedAt: string
}

/** Sends the words on the desk to the server: after each change, again where it did not answer, one request at a time. */
export function useSaving(words: KeptWords, tell: (kept: KeptMessage) => void) {
  const { text, base, keeping } = words
  let timer: ReturnType<typeof setTimeout> | undefined
  let saving: Promise<void> | null = null

  function schedule(after: number) {
    clearTimeout(timer)
    timer = setTimeout(() => void save(), after)
  }

  function changed() {
    const isKept = keepDraft(text.id, words.tab, words.draft())
    if (keeping.value.state === 'differs') return
    words.say(isKept ? { state: 'here', why: 'on its way there' } : { state: 'nowhere', why: 'this browser has no room left' })
    schedule(saveAfter)
  }

  function onSaved(kept: KeptSession, script: string, source: string | null) {
    forgetFresh(kept.id)
    base.value = kept.number
    if (text.script === script && text.source === source) {
      clearDraft(kept.id, words.tab)
      keeping.value = { state: 'there', at: kept.updatedAt }
    } else {
      keepDraft(kept.id, words.tab, words.draft())
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
      tell({ id: ownId, number: kept.number, script, source, updatedAt: kept.updatedAt })
      if (text.id === ownId) onSaved(kept, script, source)
      else if (keptDraft(ownId, words.tab)?.script === script) clearDraft(ownId, words.tab)
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

  /** Waits until the words are on the server, for what needs them there. */
  async function flush(): Promise<boolean> {
    clearTimeout(timer)
    await save()
    return keeping.value.state === 'there'
  }

  return { schedule, changed, save, flush, stop: () => clearTimeout(timer) }
}

export type Saving = ReturnType<typeof useSaving>
