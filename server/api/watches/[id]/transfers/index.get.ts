import { route } from '../../../../services/route'
import { idParams } from '../../../../services/shapes'
import { openTransfers } from '../../../../services/transfer'
import { loadWatch } from '../../../../services/watch'

export default route({
  params: idParams,
  handle: ({ transaction, params }) =>
    transaction(async tx => {
      await loadWatch(tx, params.id)
      return openTransfers(tx, params.id)
    }),
})
