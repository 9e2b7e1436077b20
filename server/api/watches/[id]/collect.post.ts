import { collectRecordings } from '../../../services/recording'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'
import { loadWatch } from '../../../services/wrist'

export default route({
  params: idParams,
  async handle({ database, owner, transaction, params }) {
    const kept = await transaction(tx => loadWatch(tx, params.id))
    return { recordings: await collectRecordings(database, owner, kept) }
  },
})
