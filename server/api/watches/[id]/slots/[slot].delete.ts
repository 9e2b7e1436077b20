import { boolean, number, object } from 'yup'
import { route } from '../../../../services/route'
import { slotParams } from '../../../../services/shapes'
import { loadWatch } from '../../../../services/watch'
import { clearThere, letGo } from '../../../../services/slots'

export default route({
  params: slotParams,
  query: object({ expects: number().integer().min(0), handMade: boolean().default(false) }),
  async handle({ database, owner, transaction, params, query }) {
    await transaction(tx => loadWatch(tx, params.id))
    if (query.expects === undefined) await transaction(tx => letGo(tx, params.id, params.slot))
    else await clearThere(database, owner, params.id, params.slot, query.expects, query.handMade ?? false)
    return { cleared: params.slot }
  },
})
