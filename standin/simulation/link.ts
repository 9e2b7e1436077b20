import type { Carry } from '../../core/wrist/link/line'
import { SilentError } from '../../core/wrist/link/line'
import type { SimulatedWatch } from './watch'
import type { Actor, World } from './world'

/** How bad the air is between a server and the watches: shares of messages, and milliseconds. */
export interface Air {
  loss: number
  double: number
  late: number
  delay: number
  cutUntil: number
}

const patience = 150

/** One server's way to one watch: what comes back, comes back to whoever waits there then, early or late. */
export function openAir(world: World, air: Air, actor: Actor, watch: SimulatedWatch): Carry {
  let receive: ((reply: string) => void) | null = null
  const pass = (then: () => void) => {
    if (world.now() < air.cutUntil || world.chance(air.loss)) return
    const delay = () => air.delay * world.random.next() + (world.chance(air.late) ? 3 * patience * world.random.next() : 0)
    world.after(delay(), then)
    if (world.chance(air.double)) world.after(delay() * 2, then)
  }
  return frame =>
    actor.wait<string>((wake, fail) => {
      receive = wake
      pass(() => {
        const reply = watch.hear(frame)
        if (reply !== null) pass(() => receive?.(reply))
      })
      world.after(patience, () => fail(new SilentError('nothing came back')))
    })
}
