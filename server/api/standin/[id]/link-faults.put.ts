import { number, object, string } from 'yup'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'
import { atStandin } from '../../../services/standin'
import { loadWatch } from '../../../services/watch'

const share = () => number().min(0).max(1)

export default route({
  params: idParams,
  body: object({
    link: string()
      .oneOf(['cable', 'radio'] as const)
      .required(),
    delay: number().integer().min(0).max(3000).required(),
    jitter: number().integer().min(0).max(3000),
    loss: share(),
    double: share(),
    late: share(),
    cutAfter: number().integer().min(0).max(10_000_000).nullable().defined(),
  }),
  async handle({ transaction, params, body }) {
    const { address } = await transaction(tx => loadWatch(tx, params.id))
    return (await atStandin(address, 'PUT', 'link-faults', { jitter: 0, loss: 0, double: 0, late: 0, ...body })).json()
  },
})
