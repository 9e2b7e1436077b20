import { object } from 'yup'
import { route } from '../../services/route'
import { day } from '../../services/shapes'
import { textOfDays } from '../../services/week-text'

/** Some days as a text to pass on. */
export default route({
  query: object({ from: day().required(), to: day().required() }),
  handle: async ({ transaction, query }) => ({ text: await transaction(tx => textOfDays(tx, query.from, query.to)) }),
})
