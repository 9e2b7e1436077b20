import { object, string } from 'yup'
import { limits } from '../../../../core/session/limits'
import { Problem } from '../../../services/problem'
import { readBytes, route } from '../../../services/route'
import { idParams } from '../../../services/shapes'
import { keepOriginal } from '../../../services/taken-recording'

/** The file that a recording came in, byte for byte. */
export default route({
  params: idParams,
  query: object({ name: string().required().max(300) }),
  async handle({ transaction, params, query, event }) {
    const bytes = await readBytes(event, limits.uploadBytes)
    if (bytes.length === 0) throw new Problem(400, 'The body is empty.', 'body', 'Send the bytes of the file as they are.')
    await transaction(tx => keepOriginal(tx, params.id, query.name, bytes))
    return { kept: params.id }
  },
})
