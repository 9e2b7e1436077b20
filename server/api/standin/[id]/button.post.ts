import { boolean, object, string } from 'yup'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'
import { atStandin } from '../../../services/standin'
import { loadWatch } from '../../../services/watch'

export default route({
  params: idParams,
  body: object({
    button: string()
      .oneOf(['top', 'middle', 'bottom'] as const)
      .required(),
    hold: boolean().default(false),
  }),
  async handle({ transaction, params, body }) {
    const { address } = await transaction(tx => loadWatch(tx, params.id))
    return (await atStandin(address, 'POST', 'button', { button: body.button, hold: body.hold ?? false })).json()
  },
})
