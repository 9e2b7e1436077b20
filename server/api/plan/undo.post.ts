import { number, object } from 'yup'
import { undoEdit } from '../../services/plan-edit'
import { route } from '../../services/route'

export default route({
  body: object({ number: number().integer().min(1).required() }),
  handle: ({ transaction, body }) => transaction(tx => undoEdit(tx, body.number)),
})
