import { sendStream, setHeader } from 'h3'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'
import { atStandin } from '../../../services/standin'
import { loadWatch } from '../../../services/watch'

export default route({
  params: idParams,
  async handle({ transaction, params, event }) {
    const { address } = await transaction(tx => loadWatch(tx, params.id))
    const gone = new AbortController()
    event.node.res.once('close', () => gone.abort())
    const response = await atStandin(address, 'GET', 'events', undefined, gone.signal)
    setHeader(event, 'content-type', 'text/event-stream')
    setHeader(event, 'cache-control', 'no-store')
    return sendStream(event, response.body!)
  },
})
