const prefix = 'agonis.typed.'

/** Words typed into a field that are not on the server yet, kept in this browser over a reload. */
export function keepTyped(field: string, words: string): void {
  try {
    localStorage.setItem(prefix + field, words)
  } catch {
    return
  }
}

export function forgetTyped(field: string): void {
  try {
    localStorage.removeItem(prefix + field)
  } catch {
    return
  }
}

/** What stood in the field when the page went away, or null when all of it had been kept. */
export function typedBefore(field: string): string | null {
  try {
    return localStorage.getItem(prefix + field)
  } catch {
    return null
  }
}
