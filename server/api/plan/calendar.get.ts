import { setResponseHeader } from 'h3'
import { object } from 'yup'
import { calendarOf } from '../../services/calendar'
import { route } from '../../services/route'
import { clock } from '../../services/shapes'

/** The plan as a calendar file: on whole days, or at the two times when the athlete usually trains. */
export default route({
  query: object({ weekdays: clock(), weekend: clock() }),
  async handle({ transaction, query: { weekdays, weekend }, event }) {
    const times = weekdays === undefined || weekend === undefined ? null : { weekdays, weekend }
    const file = await transaction(tx => calendarOf(tx, { name: 'Training', times, alarm: null }))
    setResponseHeader(event, 'content-type', 'text/calendar; charset=utf-8')
    setResponseHeader(event, 'content-disposition', 'attachment; filename="training.ics"')
    return file
  },
})
