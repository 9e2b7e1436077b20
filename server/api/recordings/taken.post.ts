import { setResponseStatus } from 'h3'
import { mixed, object } from 'yup'
import { limits } from '../../../core/session/limits'
import { route } from '../../services/route'
import { takeRecording } from '../../services/taken-recording'

/** A recording out of a file of another program or device. */
export default route({
  body: object({ recording: mixed().required() }),
  bodyBytes: limits.uploadBytes,
  async handle({ transaction, body, event }) {
    const taken = await transaction(tx => takeRecording(tx, body.recording))
    setResponseStatus(event, taken.isKnown ? 200 : 201)
    return taken
  },
})
