/** Words typed in one tab and not yet on the server, kept in this browser at every keystroke. */
export interface Draft {
  script: string
  base: number
  source: string | null
}

/** A draft that a tab left behind. */
export interface LeftDraft extends Draft {
  tab: string
}

const prefix = (id: string) => `agonis.desk.${id}`
const key = (id: string, tab: string) => `${prefix(id)}.${tab}`
const lastKey = 'agonis.desk-last'

function parse(text: string | null): Draft | null {
  try {
    const value = text === null ? null : (JSON.parse(text) as Partial<Draft>)
    return value && typeof value.script === 'string' && typeof value.base === 'number'
      ? { script: value.script, base: value.base, source: value.source ?? null }
      : null
  } catch {
    return null
  }
}

function stored(name: string): string | null {
  try {
    return localStorage.getItem(name)
  } catch {
    return null
  }
}

export const keptDraft = (id: string, tab: string): Draft | null => parse(stored(key(id, tab)))

/** Drafts of a session by every tab, this one and others, open or gone. */
export function draftsOf(id: string): LeftDraft[] {
  try {
    return Object.keys(localStorage)
      .filter(name => name === prefix(id) || name.startsWith(`${prefix(id)}.`))
      .flatMap(name => {
        const draft = parse(stored(name))
        return draft ? [{ ...draft, tab: name.slice(prefix(id).length + 1) }] : []
      })
  } catch {
    return []
  }
}

/** Returns false when the browser has no room or no storage. */
export function keepDraft(id: string, tab: string, draft: Draft): boolean {
  try {
    localStorage.setItem(key(id, tab), JSON.stringify(draft))
    return true
  } catch {
    return false
  }
}

export function clearDraft(id: string, tab: string): void {
  try {
    localStorage.removeItem(tab === '' ? prefix(id) : key(id, tab))
  } catch {
    return
  }
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
