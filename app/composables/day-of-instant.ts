/** The day of an instant where the athlete is, as it is said: `Tue 31 Mar`. */
export const dayOfInstant = (iso: string, timeZone: string): string =>
  new Date(iso).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone })
