import { boolean, number, object, string } from 'yup'
import { keepFelt } from '../../../services/recording'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'

export default route({
  params: idParams,
  body: object({ rpe: number().min(0).max(10), note: string().max(4096), pain: boolean() }),
  async handle({ transaction, params, body }) {
    await transaction(tx => keepFelt(tx, params.id, body))
    return { kept: params.id }
  },
})
