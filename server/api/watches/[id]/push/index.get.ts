import { dryRun } from '../../../../services/push'
import { route } from '../../../../services/route'
import { idParams } from '../../../../services/shapes'

export default route({
  params: idParams,
  async handle({ database, owner, params }) {
    const { programs: _, question: __, ...plan } = await dryRun(database, owner, params.id)
    return plan
  },
})
