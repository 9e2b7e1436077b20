import { bringHome, CancelledError, carrySending, clearSlot } from '../../core/wrist/link/desk'
import { digestOf } from '../../core/wrist/program/digest'
import { firstCounter } from '../../core/wrist/link/frame'
import { openLine, UnpairedError } from '../../core/wrist/link/line'
import type { Exchange } from '../../core/wrist/link/line'
import type { Program } from '../../core/wrist/program/program'
import { listSlots, pairWatch, RefusedError } from '../../core/wrist/link/transfer'
import type { Air } from './link'
import { openAir } from './link'
import type { KeptSending, Rows } from './store'
import { storeOf, takeLease, transaction } from './store'
import type { SimulatedWatch } from './watch'
import type { Actor, World } from './world'

/** What somebody asked for: the only changes that messages may bring about. */
export interface Asked {
  watch: string
  incarnation: string
  slot: number
  expects: number
  digest: string | null
  sending?: string
}

export interface Scene {
  world: World
  rows: Rows
  air: Air
  programs: readonly Program[]
  asked: Asked[]
  calledOff: Map<string, number>
  fault: (what: string) => void
}

type Task = 'send' | 'resume' | 'clear' | 'bring-home' | 'pair'

interface Post {
  scene: Scene
  actor: Actor
  watch: SimulatedWatch
  exchange: Exchange
  store: ReturnType<typeof storeOf>
}

async function carry({ scene, actor, store, exchange }: Post, row: KeptSending): Promise<void> {
  try {
    await carrySending(store, exchange, row, 400)
  } catch (error) {
    const isOff = error instanceof CancelledError
    await transaction(scene.world, actor, () => {
      if (row.state !== 'sending') return
      row.state = isOff ? 'cancelled' : 'stopped'
      if (isOff) scene.calledOff.set(row.id, scene.world.now())
    })
    if (error instanceof RefusedError || isOff) return
    throw error
  }
}

async function send(post: Post): Promise<void> {
  const {
    scene: { world, rows, programs, asked },
    actor,
    watch,
    exchange,
  } = post
  const { incarnation } = watch.memory()
  const { slots } = await listSlots(exchange)
  const free = slots.filter(state => state.digest === null || rows.holdings.has(`${watch.name}/${state.slot}`))
  if (free.length === 0) return
  const { slot, generation } = world.pick(free)
  const program = { ...world.pick(programs), name: `Sent ${Math.floor(world.random.next() * 1e6)}` }
  const row: KeptSending = {
    id: `${watch.name}-${rows.sendings.length}`,
    watch: watch.name,
    program,
    digest: digestOf(program),
    slot,
    expects: generation,
    incarnation,
    state: 'sending',
    isCallOff: false,
    arrived: 0,
  }
  await transaction(world, actor, () => {
    rows.sendings.push(row)
    asked.push({ watch: watch.name, incarnation, slot, expects: generation, digest: row.digest, sending: row.id })
  })
  await carry(post, row)
}

async function resume(post: Post, isWanted: (row: KeptSending) => boolean): Promise<void> {
  const {
    scene: { world, rows },
    actor,
    watch,
  } = post
  for (const row of rows.sendings.filter(
    entry => entry.watch === watch.name && (entry.state === 'sending' || entry.state === 'stopped') && isWanted(entry),
  )) {
    await transaction(world, actor, () => void (row.state = 'sending'))
    await carry(post, row)
  }
}

async function clear({ scene: { world, rows, asked }, watch, exchange, store }: Post, isWanted: (slot: number) => boolean): Promise<void> {
  const { incarnation } = watch.memory()
  const { slots } = await listSlots(exchange)
  for (const state of slots.filter(entry => isWanted(entry.slot))) {
    const holding = rows.holdings.get(`${watch.name}/${state.slot}`)
    if (holding && state.digest !== holding.digest) {
      await store.markLeft(state.slot)
      continue
    }
    if (!holding && world.chance(0.5)) continue
    asked.push({ watch: watch.name, incarnation, slot: state.slot, expects: state.generation, digest: null })
    await clearSlot(store, exchange, state.slot, state.generation)
  }
}

async function pair({ world, rows, air }: Scene, actor: Actor, watch: SimulatedWatch, owner: string): Promise<void> {
  const kept = rows.watches.get(watch.name)!
  const code = watch.showCode()
  const typed = world.chance(0.1) ? '000000' : code
  const open = openLine(openAir(world, air, actor, watch), { watch: watch.name, key: null, firstCounter: Math.floor(world.now()) * 16 })
  const secret = (count: number) => Uint8Array.from({ length: count }, () => Math.floor(world.random.next() * 256))
  await pairWatch(open, watch.name, owner, typed, secret, key => transaction(world, actor, () => void (kept.pendingKey = key)))
  await transaction(world, actor, () => Object.assign(kept, { key: kept.pendingKey ?? kept.key, pendingKey: null }))
}

const asks: Task[] = ['send', 'send', 'send', 'resume', 'resume', 'clear', 'bring-home', 'bring-home']

/** One thing done at one watch, under its lease. */
export async function visit(scene: Scene, actor: Actor, watch: SimulatedWatch, holder: string, task: Task | 'finish'): Promise<void> {
  const { world, rows, air } = scene
  const lease = await takeLease(world, actor, rows, watch.name, holder)
  if (lease === null) return
  const kept = rows.watches.get(watch.name)!
  const store = storeOf(world, actor, rows, watch, lease, scene.fault)
  const exchange = openLine(openAir(world, air, actor, watch), { watch: watch.name, key: kept.key, firstCounter: firstCounter(lease) })
  const post = { scene, actor, watch, exchange, store }
  try {
    if (task === 'send') await send(post)
    if (task === 'resume' || task === 'finish') await resume(post, row => task === 'finish' || row.isCallOff || world.chance(0.7))
    if (task === 'clear') await clear(post, () => world.chance(0.4))
    if (task === 'finish') await clear(post, slot => rows.holdings.get(`${watch.name}/${slot}`)?.isLeaving === true)
    if (task === 'bring-home' || task === 'finish') await bringHome(store, exchange, { first: 100, most: 200 })
  } catch (error) {
    if (error instanceof UnpairedError) {
      if (kept.pendingKey) await transaction(world, actor, () => Object.assign(kept, { key: kept.pendingKey, pendingKey: null }))
      else await pair(scene, actor, watch, 'ilse').catch(() => {})
    }
  }
  await store.giveBack()
}

/** A server that does one thing after another until it is told that it is enough. */
export async function serve(
  scene: Scene,
  actor: Actor,
  watches: readonly SimulatedWatch[],
  holder: string,
  isEnough: () => boolean,
): Promise<void> {
  while (!isEnough()) {
    await actor.sleep(60 * scene.world.random.next())
    await visit(scene, actor, scene.world.pick(watches), holder, scene.world.pick(asks))
  }
}
