import { mixed, number, object } from 'yup'
import { saveAthlete } from '../services/athlete'
import { route } from '../services/route'

export default route({
  body: object({ base: number().integer().min(0).required(), document: mixed().required() }),
  handle: ({ transaction, body }) => transaction(tx => saveAthlete(tx, body.base, body.document)),
})
