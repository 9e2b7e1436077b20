import type { KeptSession } from '~~/shared/api'
import type { Draft } from './draft'

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
  /** Typed, and not on this browser's disk yet. */
  | { state: 'writing' }
  | { state: 'here'; why: string }
  | { state: 'nowhere'; why: string }
  | { state: 'there'; at: string }
  | { state: 'differs'; theirs: OtherSide }

/** The words on the desk, the revision they started from, and where they are safe. */
export function useKeptWords() {
  const text = useDeskTextStore()
  const base = ref(0)
  const keeping = ref<Keeping>({ state: 'empty' })

  return {
    text,
    base,
    keeping,
    /** This tab's name, under which its drafts are kept. */
    tab: '',
    /** Who typed the words last, and when by that tab's clock: theirs where a draft was taken over. */
    by: '',
    change: 0,
    draft(): Draft {
      return { script: text.script, base: base.value, source: text.source, by: this.by, change: this.change }
    },
    /** The words were changed here and now. */
    touch() {
      this.by = this.tab
      this.change = Math.max(Date.now(), this.change + 1)
    },

    /** What the server keeps is what is on the desk. */
    take(kept: Pick<KeptSession, 'script' | 'number' | 'source' | 'updatedAt'>) {
      text.show(kept)
      base.value = kept.number
      keeping.value = { state: 'there', at: kept.updatedAt }
    },

    clear() {
      text.show({ script: '', source: null })
      base.value = 0
      keeping.value = { state: 'empty' }
    },

    /** Says where the words are; what is said already is not said anew, since a screen would draw it anew. */
    say(now: Extract<Keeping, { why: string }>) {
      const before = keeping.value
      if (before.state !== now.state || before.why !== now.why) keeping.value = now
    },
  }
}

export type KeptWords = ReturnType<typeof useKeptWords>
