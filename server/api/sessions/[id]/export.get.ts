import { setResponseHeader } from 'h3'
import { object, string } from 'yup'
import { exportOne } from '../../../services/exchange'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'

export default route({
  params: idParams,
  query: object({
    as: string()
      .oneOf(['script', 'json'] as const)
      .default('script'),
  }),
  async handle({ transaction, params, query, event }) {
    const { name, text } = await transaction(tx => exportOne(tx, params.id, query.as))
    setResponseHeader(event, 'content-type', query.as === 'json' ? 'application/json' : 'text/plain; charset=utf-8')
    setResponseHeader(event, 'content-disposition', `attachment; filename="${name}"`)
    return text
  },
})
