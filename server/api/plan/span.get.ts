import { object } from 'yup'
import { daysFrom } from '../../../core/quantity/day'
import { Problem } from '../../services/problem'
import { route } from '../../services/route'
import { day } from '../../services/shapes'
import { spanOf } from '../../services/span'

const longestSpan = 400

export default route({
  query: object({ from: day().required(), to: day().required() }),
  handle({ transaction, query: { from, to } }) {
    if (to < from || to > daysFrom(from, longestSpan))
      throw new Problem(400, `A span is from a day to a later one, up to ${longestSpan} days.`, 'query.to', 'Ask for fewer days.')
    return transaction(tx => spanOf(tx, from, to))
  },
})
