import { array, number, object, string } from 'yup'
import type { PlanShape } from '../../../core/plan/shape'
import { dayParts } from '../../../core/plan/shape'
import { sportNames } from '../../../core/session/sports'
import { route } from '../../services/route'
import { layOutWeeks } from '../../services/shape'
import { day } from '../../services/shapes'

const whole = (least: number, most: number) => number().integer().min(least).max(most).required()

/** Lays weeks out by the athlete's own shape, as a proposal. */
export default route({
  body: object({
    from: day().required(),
    shape: object({
      hours: number().min(0.5).max(60).required(),
      up: whole(1, 8),
      growth: number().min(0).max(30).required(),
      ease: number().min(20).max(100).required(),
      weeks: whole(1, 26),
      taper: whole(0, 3),
      days: array(
        object({
          part: string()
            .oneOf([...dayParts])
            .required(),
          sport: string()
            .oneOf([...sportNames])
            .nullable()
            .defined(),
        }).required(),
      )
        .length(7)
        .required(),
    }).required(),
  }),
  handle: ({ transaction, body }) => transaction(tx => layOutWeeks(tx, body.shape as PlanShape, body.from)),
})
