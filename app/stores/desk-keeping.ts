import { clearDraft, keepDraft, leaveDraft } from '~/desk/draft'
import { useKeptWords } from '~/desk/keeping'
import { useOpening } from '~/desk/opening'
import type { KeptMessage } from '~/desk/saving'
import { useSaving } from '~/desk/saving'

/** Where the words on the desk are kept: drafts in this browser at every change, the server behind it, and what differs. */
export const useDeskKeepingStore = defineStore('desk-keeping', () => {
  const words = useKeptWords()
  const { text, base, keeping } = words
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('agonis.desk')
  const saving = useSaving(words, kept => channel?.postMessage(kept))
  const open = useOpening(words, saving)

  watch(() => text.changes, saving.changed, { flush: 'sync' })

  /** Another tab has put newer words there: they come onto this desk too, unless this one has words of its own. */
  channel?.addEventListener('message', ({ data }: MessageEvent<KeptMessage>) => {
    if (data.id !== text.id || data.number <= base.value) return
    if (keeping.value.state === 'there' || keeping.value.state === 'empty') words.take(data)
  })

  /** Mine goes on top of theirs, or theirs comes onto the desk. */
  function resolveConflict(choice: 'mine' | 'theirs') {
    if (keeping.value.state !== 'differs') return
    const { theirs } = keeping.value
    if (theirs.tab !== undefined) void clearDraft(text.id, theirs.tab)
    else base.value = theirs.number
    if (choice === 'theirs') {
      text.show(theirs)
      if (theirs.tab === undefined) {
        void clearDraft(text.id, words.tab)
        keeping.value = { state: 'there', at: theirs.updatedAt! }
        return
      }
      base.value = theirs.number
    }
    words.touch()
    keeping.value = { state: 'writing' }
    void keepDraft(text.id, words.tab, words.draft())
    saving.schedule(0)
  }

  /** The page is going: what is not on the server stays in this browser, also where its disk has not taken it yet. */
  function leave() {
    if (keeping.value.state !== 'there' && keeping.value.state !== 'empty') leaveDraft(text.id, words.tab, words.draft())
  }

  return { base, keeping, open, leave, save: saving.save, resolveConflict, flush: saving.flush }
})
