import { isDate } from '~~/core/quantity/day'
import type { DateParts } from '~~/core/words/date'
import { sayDay, sayDayOf, sayMonth, sayTimeOf, usualForms } from '~~/core/words/date'

/** Days and times in the athlete's form, by the one clock of their zone. */
export function useDates() {
  const athletes = useAthleteStore()
  const forms = computed(() => ({ ...usualForms, ...athletes.athlete.shown }))
  const here = () => athletes.standpoint.zone
  const dayOf = (instant: string, parts: DateParts = { weekday: 'short' }, zone = here()) =>
    sayDayOf(new Date(instant), zone, parts, forms.value)
  const timeOf = (instant: string, zone = here()) => sayTimeOf(new Date(instant), zone, forms.value)

  return {
    /** A day of the calendar, ISO date; the name of a day as it stands. */
    day: (day: string, parts: DateParts = { weekday: 'short' }) => (isDate(day) ? sayDay(day, parts, forms.value) : day),
    monthOf: (day: string) => sayMonth(day, forms.value),
    /** The day of an instant, and its time. */
    dayOf,
    timeOf,
    momentOf: (instant: string, parts?: DateParts, zone?: string) => `${dayOf(instant, parts, zone)}, ${timeOf(instant, zone)}`,
    /** The form of a day for a date picker. */
    pickerForm: computed(() => ({ 'iso': 'YYYY-MM-DD', 'day-first': 'D MMM YYYY', 'month-first': 'MMM D, YYYY' })[forms.value.dates]),
    clockForm: computed(() => forms.value.clock),
  }
}
