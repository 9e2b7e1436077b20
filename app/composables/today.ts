/** The day it is here, ISO date. */
export function today(): string {
  const now = new Date()
  return `${now.getFullYear()}-${String(now.getMonth() + 1).padStart(2, '0')}-${String(now.getDate()).padStart(2, '0')}`
}

/** The day of an instant where the athlete is, as it is said: `Tue 31 Mar`. */
export const dayOfInstant = (iso: string, timeZone: string | undefined): string =>
  new Date(iso).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone })
