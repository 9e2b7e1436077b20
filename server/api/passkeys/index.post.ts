import type { RegistrationResponseJSON } from '@simplewebauthn/server'
import { setResponseStatus } from 'h3'
import { object, string } from 'yup'
import { requireHome } from '../../services/entrance'
import { addPasskey } from '../../services/passkey'
import { route } from '../../services/route'

export default route({
  body: object({ name: string().trim().min(1).max(60).required(), response: object({}).unknown(true).required() }),
  async handle({ event, transaction, body }) {
    requireHome()
    await transaction(tx => addPasskey(event, tx, body.name, body.response as unknown as RegistrationResponseJSON))
    setResponseStatus(event, 201)
    return { kept: body.name }
  },
})
