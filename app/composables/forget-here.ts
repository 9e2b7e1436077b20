/** Forgets what this browser keeps of the application: drafts, what was seen last, what a phone has taken along. */
export async function forgetHere(): Promise<void> {
  for (const name of Object.keys(localStorage).filter(key => key.startsWith('agonis'))) localStorage.removeItem(name)
  for (const { name } of (await indexedDB.databases?.()) ?? []) if (name && !name.startsWith('workbox')) indexedDB.deleteDatabase(name)
}
