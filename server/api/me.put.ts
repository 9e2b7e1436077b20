import { mixed, number, object } from 'yup'
import { saveAthlete } from '../services/athlete'
import { rescheduleAll } from '../services/routine'
import { route } from '../services/route'

export default route({
  body: object({ base: number().integer().min(0).required(), document: mixed().required() }),
  handle: ({ transaction, body }) =>
    transaction(async tx => {
      const saved = await saveAthlete(tx, body.base, body.document)
      await rescheduleAll(tx)
      return saved
    }),
})
