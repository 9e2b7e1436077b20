import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'
import { openTransfers } from '../../../services/transfer'
import { holdingsOf, inspectWatch, loadWatch } from '../../../services/wrist'

export default route({
  params: idParams,
  async handle({ transaction, params }) {
    const { kept, held, transfers } = await transaction(async tx => ({
      kept: await loadWatch(tx, params.id), held: await holdingsOf(tx, params.id), transfers: await openTransfers(tx, params.id),
    }))
    return { ...await inspectWatch(kept, held), transfers }
  },
})
