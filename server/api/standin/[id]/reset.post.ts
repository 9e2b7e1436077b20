import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'
import { atStandin } from '../../../services/standin'
import { loadWatch } from '../../../services/wrist'

export default route({
  params: idParams,
  async handle({ transaction, params }) {
    const { address } = await transaction(tx => loadWatch(tx, params.id))
    return (await atStandin(address, 'POST', 'reset')).json()
  },
})
