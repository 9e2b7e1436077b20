import { setResponseStatus } from 'h3'
import { object, string } from 'yup'
import { route } from '../../services/route'
import { addWatch } from '../../services/watch'

export default route({
  body: object({ name: string().trim().min(1).max(60).required(), profile: string().max(40), address: string().trim().max(120) }),
  async handle({ transaction, owner, body, event }) {
    const added = await transaction(tx => addWatch(tx, owner, body))
    setResponseStatus(event, 201)
    return added
  },
})
