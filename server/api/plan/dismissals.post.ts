import { object, string } from 'yup'
import { planDismissal } from '../../db/plan'
import { route } from '../../services/route'

/** Dismisses a suggestion about the plan: one by its key, or all of its kind by its code. */
export default route({
  body: object({ key: string().min(1).max(1000).required() }),
  async handle({ transaction, body }) {
    await transaction(tx => tx.insert(planDismissal).values({ key: body.key }).onConflictDoNothing())
    return { dismissed: body.key }
  },
})
