import { setResponseStatus } from 'h3'
import { object, string } from 'yup'
import { limits } from '../../../core/session/limits'
import { route } from '../../services/route'
import { day } from '../../services/shapes'
import { fillWeek } from '../../services/week'

export default route({
  body: object({ week: day().required(), text: string().required().max(limits.textBytes) }),
  async handle({ transaction, body, event }) {
    const rows = await transaction(tx => fillWeek(tx, body.week, body.text))
    setResponseStatus(event, 201)
    return rows
  },
})
