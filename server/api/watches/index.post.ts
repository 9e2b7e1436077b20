import { setResponseStatus } from 'h3'
import { watchShape } from '../../../shared/forms'
import { route } from '../../services/route'
import { addWatch } from '../../services/watch'

export default route({
  body: watchShape,
  async handle({ transaction, owner, body, event }) {
    const added = await transaction(tx => addWatch(tx, owner, body))
    setResponseStatus(event, 201)
    return added
  },
})
