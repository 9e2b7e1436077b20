import type { KeptSession } from '~~/shared/api'
import type { Draft, LeftDraft } from './draft'
import { clearDraft, draftsOf, isFresh, keepDraft, keptDraft } from './draft'
import type { KeptWords } from './keeping'
import type { Saving } from './saving'
import { isAlive, ownTab } from './tab'
import { deskOpening as texts } from '~/texts/en'

/** A session as it was opened: what the server keeps of it, and whether it is what the desk shows now. */
export interface Opened {
  kept: KeptSession | null
  isShown: boolean
}

/** A draft by a tab that is gone and says something else than what is kept. */
async function leftBehind(wanted: string, tab: string, kept: string | undefined) {
  for (const left of await draftsOf(wanted)) {
    if (left.tab === tab || (left.tab !== '' && (await isAlive(left.tab)))) continue
    if (left.script !== kept && left.script.trim() !== '') return left
    await clearDraft(wanted, left.tab)
  }
  return null
}

/** What the server keeps of a session; null where it cannot know it, or cannot be asked and a draft will do. */
async function loadKept(wanted: string): Promise<KeptSession | null> {
  if (isFresh(wanted)) return null
  return api<KeptSession>(`/sessions/${wanted}`).catch(async (error: unknown) => {
    const told = toldOf(error)
    const hasDraft = (await draftsOf(wanted)).length > 0
    if (hasDraft && (told.status === 404 || told.status === 0)) return null
    throw error
  })
}

/**
 * Opens sessions on the desk: the newest words, of the server or of a draft.
 *
 * Reading takes time, and the words before stand open to typing meanwhile. So the desk changes over in one go, after
 * everything is read: what was typed until then belongs to the session before, or, where the same one is opened again, wins.
 */
export function useOpening(words: KeptWords, saving: Saving) {
  const { text, base, keeping } = words
  let wantedNow = ''

  function show(wanted: string, kept: KeptSession | null, own: Draft | null, left: LeftDraft | null) {
    text.id = wanted
    const first = own ?? left
    if (!first || first.script === kept?.script) {
      if (own) void clearDraft(wanted, words.tab)
      return kept ? words.take(kept) : words.clear()
    }
    text.show(first)
    base.value = first.base
    words.by = first.by
    words.change = first.change
    void keepDraft(wanted, words.tab, words.draft())
    if (!own && left) void clearDraft(wanted, left.tab)
    if (own && left && left.script !== own.script) {
      const { script, base: number, source, tab, change } = left
      keeping.value = { state: 'differs', theirs: { script, number, source, tab, updatedAt: new Date(change).toISOString() } }
      return
    }
    keeping.value = { state: 'here', why: texts.notThereYet }
    saving.schedule(0)
  }

  return async function open(wanted: string): Promise<Opened> {
    wantedNow = wanted
    await saving.flush()
    words.tab = await ownTab()
    const changesBefore = text.changes
    const kept = await loadKept(wanted)
    const left = await leftBehind(wanted, words.tab, kept?.script)
    const own = await keptDraft(wanted, words.tab)
    await saving.flush()
    if (wantedNow !== wanted) return { kept, isShown: false }
    const isTyped = text.id === wanted && text.changes !== changesBefore
    if (!isTyped) {
      saving.stop()
      show(wanted, kept, own, left)
    }
    return { kept, isShown: true }
  }
}
