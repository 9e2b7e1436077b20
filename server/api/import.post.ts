import { object, string } from 'yup'
import { limits } from '../../core/session/limits'
import { importFile } from '../services/exchange'
import { Problem } from '../services/problem'
import { route } from '../services/route'

export default route({
  body: object({ name: string().required().max(300), base64: string().required() }),
  bodyBytes: Math.ceil((limits.uploadBytes * 4) / 3) + 10_000,
  async handle({ transaction, body }) {
    const bytes = Buffer.from(body.base64, 'base64')
    if (bytes.length > limits.uploadBytes)
      throw new Problem(413, 'The file is larger than 50 MB, the limit.', 'body.base64', 'Send it in several parts.')
    return { files: await transaction(tx => importFile(tx, body.name, new Uint8Array(bytes))) }
  },
})
