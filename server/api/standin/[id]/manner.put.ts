import { number, object } from 'yup'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'
import { atStandin } from '../../../services/standin'
import { loadWatch } from '../../../services/wrist'

export default route({
  params: idParams,
  body: object({
    delay: number().integer().min(0).max(3000).required(), loss: number().min(0).max(1).required(),
    cutAfter: number().integer().min(0).max(10_000_000).nullable().defined(),
  }),
  async handle({ transaction, params, body }) {
    const { address } = await transaction(tx => loadWatch(tx, params.id))
    return (await atStandin(address, 'PUT', 'manner', body)).json()
  },
})
