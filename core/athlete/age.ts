/** How old an effort may be, in days, before younger ones are trusted alone. */
const youngDays = 120
const dayMilliseconds = 24 * 3600 * 1000

/** Whether a day lies more than 120 days before the standpoint's day, both ISO dates. */
export const isOld = (date: string, on: string): boolean => Date.parse(on) - Date.parse(date) > youngDays * dayMilliseconds
