import { boolean, number, object, string } from 'yup'
import { Problem } from '../../../services/problem'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'
import { atStandin } from '../../../services/standin'
import { loadWatch } from '../../../services/watch'

export default route({
  params: idParams,
  body: object({
    do: string()
      .oneOf(['make', 'edit', 'delete', 'power', 'clock', 'reset'] as const)
      .required(),
    slot: number().integer().min(1).max(500),
    on: boolean(),
    off: number().integer().min(-864_000_000).max(864_000_000),
  }),
  async handle({ transaction, params, body }) {
    const { address } = await transaction(tx => loadWatch(tx, params.id))
    const response = await atStandin(address, 'POST', 'hand', body)
    if (!response.ok) throw new Problem(409, 'The watch cannot do this now.', 'body.do', 'The slot is empty, in use, or no slot is free.')
    return response.json()
  },
})
