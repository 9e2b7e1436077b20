import { route } from '../../../../services/route'
import { slotParams } from '../../../../services/shapes'
import { compareSlot, holdingsOf, loadWatch } from '../../../../services/wrist'

export default route({
  params: slotParams,
  async handle({ transaction, params }) {
    const { kept, held } = await transaction(async tx => ({ kept: await loadWatch(tx, params.id), held: await holdingsOf(tx, params.id) }))
    return compareSlot(kept, held, params.slot)
  },
})
