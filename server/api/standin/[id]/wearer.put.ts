import { boolean, number, object } from 'yup'
import { currentAthlete } from '../../../services/athlete'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'
import { atStandin } from '../../../services/standin'
import { loadWatch } from '../../../services/wrist'

export default route({
  params: idParams,
  body: object({
    speed: number().min(1).max(600).required(), seed: number().integer().min(1).max(2_147_483_647).required(), pressesItself: boolean().required(),
  }),
  async handle({ transaction, params, body }) {
    const { address, athlete } = await transaction(async tx => ({ ...await loadWatch(tx, params.id), ...await currentAthlete(tx) }))
    return (await atStandin(address, 'PUT', 'wearer', { athlete, ...body })).json()
  },
})
