import type { Draft } from './draft-store'
import { readDrafts, removeDraft, writeDraft } from './draft-store'

export type { Draft } from './draft-store'

/** A draft that a tab left behind. */
export interface LeftDraft extends Draft {
  tab: string
}

const lastKey = 'agonis.desk-last'

function stored(name: string): string | null {
  try {
    return localStorage.getItem(name)
  } catch {
    return null
  }
}

const leftName = (id: string, tab: string) => (tab === '' ? `agonis.desk.${id}` : `agonis.desk.${id}.${tab}`)

/** Drafts that a page wrote in its last moment, or that an earlier version of it kept: read once, and written anew where all others are. */
function leftDrafts(id: string): LeftDraft[] {
  const prefix = leftName(id, '')
  const names = Object.keys(localStorage).filter(name => name === prefix || name.startsWith(`${prefix}.`))
  return names.flatMap(name => {
    const tab = name.slice(prefix.length + 1)
    try {
      const { script, base, source, by, change } = JSON.parse(stored(name) ?? '') as Partial<Draft>
      return typeof script === 'string' && typeof base === 'number'
        ? [{ script, base, source: source ?? null, by: by ?? tab, change: change ?? 0, tab }]
        : []
    } catch {
      return []
    }
  })
}

/** Keeps a draft at once and without a wait, for a page that is going: what is still being written to the disk then may never get there. */
export function leaveDraft(id: string, tab: string, draft: Draft): void {
  try {
    localStorage.setItem(leftName(id, tab), JSON.stringify(draft))
  } catch {
    return
  }
}

async function takeOver(id: string): Promise<void> {
  const left = leftDrafts(id)
  const kept = left.length === 0 ? [] : await readDrafts(id)
  for (const { tab, ...draft } of left) {
    if (!kept.some(other => other.tab === tab && other.change >= draft.change)) await writeDraft(id, tab, draft)
    localStorage.removeItem(leftName(id, tab))
  }
}

/** Drafts of a session by every tab, this one and others, open or gone. */
export async function draftsOf(id: string): Promise<LeftDraft[]> {
  try {
    await takeOver(id)
    return (await readDrafts(id)).map(({ session: _, ...draft }) => draft)
  } catch {
    return []
  }
}

export const keptDraft = async (id: string, tab: string): Promise<Draft | null> =>
  (await draftsOf(id)).find(draft => draft.tab === tab) ?? null

interface Writing {
  draft: Draft | null
  done: Promise<boolean>
}

/** What is being written for each tab of a session, and what comes next: only the newest is. */
const writing = new Map<string, Writing>()

async function write(id: string, tab: string): Promise<boolean> {
  const name = `${id} ${tab}`
  const own = writing.get(name)!
  try {
    while (own.draft) {
      const draft = own.draft
      own.draft = null
      await writeDraft(id, tab, draft)
    }
    return true
  } catch {
    return false
  } finally {
    writing.delete(name)
  }
}

/** Keeps a draft; true once it is on the disk, false where the browser has no room or no storage. */
export function keepDraft(id: string, tab: string, draft: Draft): Promise<boolean> {
  const name = `${id} ${tab}`
  const own = writing.get(name)
  if (own) {
    own.draft = draft
    return own.done
  }
  const begun: Writing = { draft, done: Promise.resolve(false) }
  writing.set(name, begun)
  begun.done = write(id, tab)
  return begun.done
}

/** Lets a draft go, also one that is still being written. */
export async function clearDraft(id: string, tab: string): Promise<void> {
  const own = writing.get(`${id} ${tab}`)
  if (own) own.draft = null
  await own?.done
  await removeDraft(id, tab)
    .then(() => localStorage.removeItem(leftName(id, tab)))
    .catch(() => {})
}

/** The session last written on this browser's desk. */
export const lastOnDesk = (): string | null => stored(lastKey)

export function rememberOnDesk(id: string): void {
  try {
    localStorage.setItem(lastKey, id)
  } catch {
    return
  }
}

const freshKey = 'agonis.desk-fresh'

/** A session that was begun here and has no words yet, so that nobody else can know it. */
export function rememberFresh(id: string): void {
  try {
    sessionStorage.setItem(freshKey, id)
  } catch {
    return
  }
}

/** The session is on the server now. */
export function forgetFresh(id: string): void {
  try {
    if (sessionStorage.getItem(freshKey) === id) sessionStorage.removeItem(freshKey)
  } catch {
    return
  }
}

export function isFresh(id: string): boolean {
  try {
    return sessionStorage.getItem(freshKey) === id
  } catch {
    return false
  }
}
