import { object } from 'yup'
import { listPlan } from '../../services/plan'
import { route } from '../../services/route'
import { day } from '../../services/shapes'

export default route({
  query: object({ from: day().required(), to: day().required() }),
  handle: ({ transaction, query }) => transaction(tx => listPlan(tx, query.from, query.to)),
})
