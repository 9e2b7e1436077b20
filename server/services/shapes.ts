import { number, object, string } from 'yup'
import { isCalendarDay } from '../../core/quantity/day'

/** A day of the calendar. */
export const day = () => string().test('day', 'is not a day of the calendar', value => value === undefined || isCalendarDay(value))

/** A time of the day, in minutes after midnight. */
export const clock = () => number().integer().min(0).max(1439)

/** A row's id in the address. */
export const idParams = object({ id: string().uuid('is not an id').required() })

/** A watch's id and one of its slots. */
export const slotParams = object({
  id: string().uuid('is not an id').required(),
  slot: number().integer('is not a slot').min(1, 'is not a slot').max(500, 'is not a slot').required(),
})
