import { object, string } from 'yup'
import { listPlan } from '../../services/plan'
import { route } from '../../services/route'

const day = () => string().matches(/^\d{4}-\d{2}-\d{2}$/, 'is not a date')

export default route({
  query: object({ from: day().required(), to: day().required() }),
  handle: ({ transaction, query }) => transaction(tx => listPlan(tx, query.from, query.to)),
})
