import type { KeptSession } from '~~/shared/api'
import type { Draft } from './draft'
import { clearDraft, forgetFresh, keptDraft } from './draft'
import { useKeepHere } from './keep-here'
import { useSaveTimer } from './save-timer'
import type { KeptWords } from './keeping'
import { deskSaving as texts } from '~/texts/en'

const saveAfter = 600
const onItsWay = texts.onItsWayThere
const retryAfter = 3000

/** What a tab tells the others when the server has taken its words. */
export interface KeptMessage {
  id: string
  number: number
  script: string
  source: string | null
  updatedAt: string
}

const put = (id: string, { script, source, base, by, change }: Draft) =>
  api<KeptSession>(`/sessions/${id}`, { method: 'PUT', body: { base, script, source, ...(by === '' ? {} : { tab: by, change }) } })

/** Sends the words on the desk to the server: after each change, again where it did not answer, one request at a time. */
export function useSaving(words: KeptWords, tell: (kept: KeptMessage) => void) {
  const { text, base, keeping } = words
  const keepHere = useKeepHere(words)
  const timer = useSaveTimer(() => void save())
  let saving: Promise<void> | null = null

  function changed() {
    words.touch()
    void keepHere(onItsWay)
    if (keeping.value.state !== 'differs') timer.within(saveAfter)
  }

  /** The server held newer words of this draft's tab already. */
  function takeNewer(kept: KeptSession) {
    words.take(kept)
    void clearDraft(kept.id, words.tab)
  }

  function onSaved(kept: KeptSession, script: string, source: string | null) {
    forgetFresh(kept.id)
    const isSame = text.script === script && text.source === source
    if (kept.script !== script) return isSame ? takeNewer(kept) : void (keeping.value = { state: 'differs', theirs: kept })
    base.value = kept.number
    if (isSame) {
      keeping.value = { state: 'there', at: kept.updatedAt }
      void clearDraft(kept.id, words.tab)
    } else {
      void keepHere(onItsWay)
      timer.within(saveAfter)
    }
  }

  function onRefused(error: unknown) {
    const told = toldOf(error)
    if (told.status === 409) return void (keeping.value = { state: 'differs', theirs: told.theirs as KeptSession })
    if (keeping.value.state !== 'nowhere' && keeping.value.state !== 'writing') keeping.value = { state: 'here', why: told.problem }
    if (told.status === 0 || told.status >= 500) timer.schedule(retryAfter)
  }

  async function saveOnce() {
    const draft = words.draft()
    const { script, source } = draft
    const ownId = text.id
    try {
      const kept = await put(ownId, draft)
      tell({ id: ownId, number: kept.number, script: kept.script, source: kept.source, updatedAt: kept.updatedAt })
      if (text.id === ownId) onSaved(kept, script, source)
      else if ((await keptDraft(ownId, words.tab))?.script === script) void clearDraft(ownId, words.tab)
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
    timer.stop()
    await save()
    return keeping.value.state === 'there'
  }

  return { schedule: timer.schedule, changed, save, flush, stop: timer.stop }
}

export type Saving = ReturnType<typeof useSaving>
