import { array, boolean, number, object, string } from 'yup'
import { calendarEvents } from '../../../core/exchange/read-ics'
import { takeCalendar } from '../../services/calendar-take'
import { route } from '../../services/route'
import { clock, day } from '../../services/shapes'

/** Events of another calendar, as `readIcs` reads them. */
export default route({
  body: object({
    as: string()
      .oneOf(['note', 'work', 'blocked'] as const)
      .required(),
    events: array(
      object({
        uid: string().min(1).max(1000).required(),
        day: day().required(),
        start: clock().nullable().defined(),
        minutes: number().integer().min(1).max(2880).nullable().defined(),
        title: string().trim().min(1).max(500).required(),
        isCancelled: boolean().required(),
      }).required(),
    )
      .min(1)
      .max(calendarEvents)
      .required(),
  }),
  handle: ({ transaction, body }) => transaction(tx => takeCalendar(tx, body.events, body.as)),
})
