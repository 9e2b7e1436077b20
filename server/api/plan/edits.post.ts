import type { AnyObject, ObjectSchema } from 'yup'
import { array, number, object, string } from 'yup'
import { planKinds } from '../../../core/plan/entry'
import { sportNames } from '../../../core/session/sports'
import type { PlanAsk } from '../../../shared/plan'
import { editPlan } from '../../services/plan-edit'
import { route } from '../../services/route'
import { day } from '../../services/shapes'

const id = () => string().uuid('is not an id')
const name = () => string().max(500)
const minutes = () => number().moreThan(0).max(2880)
const effort = () => number().min(0).max(10)
const days = () => number().integer().min(1).max(370)

const shapes = {
  put: object({
    day: day().required(),
    kind: string().oneOf(planKinds).required(),
    session: id(),
    name: name(),
    minutes: minutes(),
    effort: effort(),
    sport: string().oneOf(sportNames),
  }),
  change: object({
    id: id().required(),
    name: name().nullable().defined(),
    minutes: minutes().nullable().defined(),
    effort: effort().nullable().defined(),
  }),
  move: object({
    id: id().required(),
    day: day().required(),
    at: number().integer().min(0),
    was: object({ day: day().required() }).required(),
  }),
  off: object({ ids: array(id().required()).min(1).max(1000).required() }),
  copy: object({ from: day().required(), days: days().required(), to: day().required(), way: string().oneOf(['harder', 'easier']) }),
  lay: object({
    on: array(object({ day: day().required(), session: id().required() }))
      .min(1)
      .max(400)
      .required(),
  }),
  swap: object({ one: day().required(), other: day().required() }),
  shift: object({ from: day().required(), by: number().integer().min(-60).max(60).required() }),
  clear: object({ from: day().required(), days: days().required() }),
}
const kindOf = (value: unknown): keyof typeof shapes => {
  const asked = (value as { do?: unknown } | null)?.do
  return typeof asked === 'string' && Object.hasOwn(shapes, asked) ? (asked as keyof typeof shapes) : 'put'
}

/** An edit of the plan: what is done, and what that needs. */
export default route({
  body: (value): ObjectSchema<AnyObject> => shapes[kindOf(value)].shape({ do: string().oneOf(Object.keys(shapes)).required() }),
  handle: ({ transaction, body }) => transaction(tx => editPlan(tx, body as unknown as PlanAsk)),
})
