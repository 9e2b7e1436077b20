import { number, object } from 'yup'
import { Problem } from '../../../services/problem'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'
import { atStandin } from '../../../services/standin'
import { loadWatch } from '../../../services/watch'

export default route({
  params: idParams,
  body: object({ slot: number().integer().min(1).max(500).required() }),
  async handle({ transaction, params, body }) {
    const { address } = await transaction(tx => loadWatch(tx, params.id))
    const response = await atStandin(address, 'POST', 'choose', { slot: body.slot })
    if (!response.ok) throw new Problem(409, 'The watch cannot choose this now.', 'body.slot', 'A program is going, or the slot is empty.')
    return response.json()
  },
})
