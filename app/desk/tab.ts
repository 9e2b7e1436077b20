const key = 'agonis.tab'
const lockName = (tab: string) => `agonis.tab.${tab}`

/** Holds a lock for as long as this tab lives; false when another tab has it. */
function hold(tab: string): Promise<boolean> {
  return new Promise(resolve => {
    void navigator.locks.request(lockName(tab), { ifAvailable: true }, lock => {
      resolve(lock !== null)
      return lock === null ? undefined : new Promise(() => {})
    })
  })
}

let own: Promise<string> | undefined

/** This tab's name. It survives a reload; a tab opened as a copy of another takes a new one. */
export function ownTab(): Promise<string> {
  own ??= (async () => {
    const kept = sessionStorage.getItem(key)
    if (kept && (await hold(kept))) return kept
    const made = crypto.randomUUID().slice(0, 8)
    await hold(made)
    try {
      sessionStorage.setItem(key, made)
    } catch {
      return made
    }
    return made
  })()
  return own
}

/** Whether a tab of this name is open now. */
export async function isAlive(tab: string): Promise<boolean> {
  const { held } = await navigator.locks.query()
  return held?.some(lock => lock.name === lockName(tab)) ?? false
}
