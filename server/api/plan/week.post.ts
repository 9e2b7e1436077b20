import { setResponseStatus } from 'h3'
import { object, string } from 'yup'
import { limits } from '../../../core/session/limits'
import { route } from '../../services/route'
import { fillWeek } from '../../services/week'

export default route({
  body: object({
    week: string()
      .matches(/^\d{4}-\d{2}-\d{2}$/, 'is not a date')
      .required(),
    text: string().required().max(limits.textBytes),
  }),
  async handle({ transaction, body, event }) {
    const rows = await transaction(tx => fillWeek(tx, body.week, body.text))
    setResponseStatus(event, 201)
    return rows
  },
})
