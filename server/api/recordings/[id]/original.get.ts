import { setResponseHeader } from 'h3'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'
import { originalOf } from '../../../services/taken-recording'

export default route({
  params: idParams,
  async handle({ transaction, params, event }) {
    const { name, bytes } = await transaction(tx => originalOf(tx, params.id))
    setResponseHeader(event, 'content-type', 'application/octet-stream')
    setResponseHeader(event, 'content-disposition', `attachment; filename*=UTF-8''${encodeURIComponent(name)}`)
    return bytes
  },
})
