import { setResponseStatus } from 'h3'
import { outcomeOfJob } from '../../../jobs/await'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'
import { loadWatch } from '../../../services/watch'

/** What came home; 202 without a list where it takes longer than anybody waits for an answer, and goes on. */
export default route({
  params: idParams,
  async handle({ database, owner, params, transaction, event }) {
    await transaction(tx => loadWatch(tx, params.id))
    const recordings = await outcomeOfJob<'collecting', string[]>(database, 'collecting', { owner, watch: params.id })
    if (recordings === null) setResponseStatus(event, 202)
    return { recordings }
  },
})
