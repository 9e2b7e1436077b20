import { DateTime } from 'luxon'

/** A day of the calendar as it is said: `Tue 31 Mar`. */
export const formatDay = (day: string): string => DateTime.fromISO(day).toFormat('ccc d LLL')
