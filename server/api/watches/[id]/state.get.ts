import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'
import { openTransfers } from '../../../services/transfer'
import { loadWatch } from '../../../services/watch'
import { inspectWatch } from '../../../services/slots'

export default route({
  params: idParams,
  async handle({ database, owner, transaction, params }) {
    const transfers = await transaction(async tx => {
      await loadWatch(tx, params.id)
      return openTransfers(tx, params.id)
    })
    return { ...(await inspectWatch(database, owner, params.id)), transfers }
  },
})
