import { object, string } from 'yup'
import { removePasskey } from '../../services/device'
import { route } from '../../services/route'

export default route({
  params: object({ credential: string().required().max(1400) }),
  async handle({ transaction, params }) {
    await transaction(tx => removePasskey(tx, params.credential))
    return { removed: params.credential }
  },
})
