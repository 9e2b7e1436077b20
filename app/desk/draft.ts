/** Words typed and not yet on the server, kept in this browser at every keystroke. */
export interface Draft { script: string, base: number }

const key = (id: string) => `agonis.desk.${id}`

export function keptDraft(id: string): Draft | null {
  try {
    const text = localStorage.getItem(key(id))
    const value = text === null ? null : JSON.parse(text) as Partial<Draft>
    return value && typeof value.script === 'string' && typeof value.base === 'number' ? { script: value.script, base: value.base } : null
  }
  catch {
    return null
  }
}

/** Returns false when the browser has no room or no storage. */
export function keepDraft(id: string, draft: Draft): boolean {
  try {
    localStorage.setItem(key(id), JSON.stringify(draft))
    localStorage.setItem('agonis.desk.last', id)
    return true
  }
  catch {
    return false
  }
}

export function clearDraft(id: string): void {
  try {
    localStorage.removeItem(key(id))
  }
  catch {
    return
  }
}

/** The session last written on this browser's desk. */
export function lastOnDesk(): string | null {
  try {
    return localStorage.getItem('agonis.desk.last')
  }
  catch {
    return null
  }
}

export function rememberOnDesk(id: string): void {
  try {
    localStorage.setItem('agonis.desk.last', id)
  }
  catch {
    return
  }
}
