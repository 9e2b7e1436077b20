import { boolean, number, object } from 'yup'
import { currentAthlete } from '../../../services/athlete'
import { route } from '../../../services/route'
import { idParams } from '../../../services/shapes'
import { atStandin } from '../../../services/standin'
import { loadWatch } from '../../../services/watch'

const silence = () =>
  object({ from: number().min(0).max(200_000).required(), to: number().min(0).max(200_000).required() }).default(undefined)
const chance = () => number().min(0).max(1)

export default route({
  params: idParams,
  body: object({
    speed: number().min(1).max(600).required(),
    seed: number().integer().min(1).max(2_147_483_647).required(),
    pressesItself: boolean().required(),
    behaviour: object({
      bias: number().min(-0.5).max(0.5),
      startsFast: chance(),
      missesCue: chance(),
      pressesTwice: chance(),
      forgetsStop: number().min(0).max(3600),
      hills: object({ percent: number().min(0).max(20).required(), metres: number().min(100).max(20_000).required() }).default(undefined),
      silentHeart: silence(),
      silentPosition: silence(),
      silentPower: silence(),
    }),
  }),
  async handle({ transaction, params, body }) {
    const { address, athlete } = await transaction(async tx => ({ ...(await loadWatch(tx, params.id)), ...(await currentAthlete(tx)) }))
    return (
      await atStandin(address, 'PUT', 'wearer', { athlete, ...body, behaviour: { ...body.behaviour, bias: body.behaviour?.bias ?? 0 } })
    ).json()
  },
})
