import { setResponseStatus } from 'h3'
import { watchShape } from '../../../shared/forms'
import { route } from '../../services/route'
import { rescheduleAll } from '../../services/routine'
import { addWatch } from '../../services/watch'

export default route({
  body: watchShape,
  async handle({ transaction, owner, body, event }) {
    const added = await transaction(async tx => {
      const watch = await addWatch(tx, owner, body)
      await rescheduleAll(tx)
      return watch
    })
    setResponseStatus(event, 201)
    return added
  },
})
