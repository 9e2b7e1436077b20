import { object, string } from 'yup'
import { answerMark } from '../../services/mark-proposals'
import { route } from '../../services/route'

/** What the athlete says to a mark that training speaks for. */
export default route({
  body: object({
    key: string().max(200).required(),
    answer: string()
      .oneOf(['yes', 'no', 'later'] as const)
      .required(),
  }),
  handle: ({ transaction, body }) => transaction(tx => answerMark(tx, body.key, body.answer)),
})
