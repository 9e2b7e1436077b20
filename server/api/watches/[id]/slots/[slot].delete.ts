import { number, object } from 'yup'
import { route } from '../../../../services/route'
import { slotParams } from '../../../../services/shapes'
import { clearSlot, loadWatch } from '../../../../services/wrist'

export default route({
  params: slotParams,
  query: object({ expects: number().integer().min(0).required() }),
  async handle({ transaction, params, query }) {
    await transaction(async tx => clearSlot(tx, await loadWatch(tx, params.id), params.slot, query.expects))
    return { cleared: params.slot }
  },
})
