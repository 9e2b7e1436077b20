import { fit } from '../../core/wrist/fit/fit'
import { profileNamed } from '../../core/wrist/program/profile'
import { readScript } from '../../core/script/reader/read-script'
import type { Air } from './link'
import type { Scene } from './server'
import { serve, visit } from './server'
import { newRows } from './store'
import type { SimulatedWatch } from './watch'
import { newWatch } from './watch'
import type { Actor } from './world'
import { newWorld } from './world'
import { nobody } from '../../core/athlete/standpoint'

/** What came of one seed: every broken promise, and how much there was to break it with. */
export interface Course {
  seed: number
  faults: string[]
  commits: number
  recordings: number
  crashes: number
  receipts: number
}

const programs = ['1:00\n0:30 rest', '4 times\n  400 m\n  rest 1:00\ncool-down until press'].map(
  text => fit(readScript(`title Small\nsport run\n\n${text}`, nobody).sessions[0]!, profileNamed('all-sport')!, nobody).program,
)

const chaosUntil = 3000

/** Every promise that can only be judged when all is said and done. */
function judge({ rows, asked, calledOff, fault }: Scene, watches: readonly SimulatedWatch[]): void {
  for (const watch of watches) {
    for (const change of watch.history.filter(entry => entry.by === 'message')) {
      const ask = asked.find(
        entry =>
          entry.watch === watch.name &&
          entry.incarnation === change.incarnation &&
          entry.slot === change.slot &&
          entry.expects === change.generation - 1 &&
          entry.digest === change.digest,
      )
      if (!ask) fault(`slot ${change.slot} of ${watch.name} changed to ${change.digest?.slice(0, 6) ?? 'empty'}, which nobody asked for`)
      const offAt = ask?.sending === undefined ? undefined : calledOff.get(ask.sending)
      if (offAt !== undefined && change.at > offAt) fault(`a cancelled program came to ${watch.name} afterwards`)
    }
    const memory = watch.memory()
    for (const record of watch.finished) {
      if (!rows.recordings.has(record) && !watch.resetAway.has(record)) fault(`a recording of ${watch.name} is lost`)
    }
    if (memory.records.length > 0) fault(`${memory.records.length} recordings still wait on ${watch.name}`)
    for (const held of memory.slots) {
      const holding = rows.holdings.get(`${watch.name}/${held.slot}`)
      if (!holding || holding.incarnation !== memory.incarnation || held.digest === holding.digest) continue
      const byHand = watch.history.some(
        change =>
          change.by === 'hand' &&
          change.slot === held.slot &&
          change.incarnation === memory.incarnation &&
          change.generation > holding.receipt.generation,
      )
      if (!byHand)
        fault(
          `slot ${held.slot} of ${watch.name} should hold ${holding.digest.slice(0, 6)} and holds ${held.digest?.slice(0, 6) ?? 'nothing'}`,
        )
    }
  }
  for (const row of rows.sendings) {
    if (row.state === 'sending') fault(`the sending ${row.id} was left standing`)
  }
}

/** Two servers, and all that happens to them and to the watches until it is enough. */
function disturbed(scene: Scene, watches: readonly SimulatedWatch[]) {
  const { world, rows, air } = scene
  const isEnough = () => world.now() >= chaosUntil
  let starts = 0
  let crashes = 0
  const start = (): Actor => {
    const holder = `server-${++starts}`
    return world.begin(actor => serve(scene, actor, watches, holder, isEnough))
  }
  const servers = [start(), start()]
  const disturb = () => {
    if (isEnough()) return
    const what = world.random.next()
    if (what < 0.6) world.pick(watches).hand()
    else if (what < 0.72) {
      const at = Math.floor(world.random.next() * servers.length)
      servers[at]!.crash()
      crashes++
      servers[at] = start()
    } else if (what < 0.84) air.cutUntil = world.now() + 500 * world.random.next()
    else {
      const going = rows.sendings.filter(row => row.state === 'sending' || row.state === 'stopped')
      if (going.length > 0) world.pick(going).isCallOff = true
    }
    world.after(250 * world.random.next(), disturb)
  }
  world.after(50, disturb)
  return { servers, crashes: () => crashes }
}

/**
 * One course of things between a desk, two servers on one database, a bad link and two watches with hands of their own:
 * messages are lost, late, doubled and out of order, the link is cut, servers crash anywhere and stall past their lease,
 * clocks jump, watches are switched off, edited, run and reset. In the end all is quiet, and everything asked is finished.
 *
 * Law: the same seed brings the same course, so that a fault found is found again by its number.
 */
export async function simulate(seed: number): Promise<Course> {
  const world = newWorld(seed)
  const faults: string[] = []
  const fault = (what: string) => void faults.push(`${Math.round(world.now())} ms: ${what}`)
  const rows = newRows()
  const air: Air = {
    loss: world.random.next() * 0.25,
    double: world.random.next() * 0.2,
    late: world.random.next() * 0.1,
    delay: 5 + 30 * world.random.next(),
    cutUntil: 0,
  }
  const scene: Scene = { world, rows, air, programs, asked: [], calledOff: new Map(), fault }
  const key = (digit: number) => String(digit).repeat(64)
  const watches = ['wrist-a', 'wrist-b'].map((name, index) => {
    rows.watches.set(name, { key: key(index + 1), pendingKey: null, lease: { number: 0, holder: '', until: 0 } })
    return newWatch(world, name, 'ilse', key(index + 1), programs, fault)
  })
  const chaos = disturbed(scene, watches)
  await world.run(chaosUntil)
  chaos.servers.forEach(server => server.crash())
  Object.assign(air, { loss: 0, double: 0, late: 0, cutUntil: 0 })
  watches.forEach(watch => watch.settleDown())
  world.begin(async actor => {
    await actor.sleep(5000)
    for (let round = 0; round < 3; round++) {
      for (const watch of watches) await visit(scene, actor, watch, 'the last server', 'finish')
    }
  })
  await world.run(chaosUntil + 120_000)
  judge(scene, watches)
  return {
    seed,
    faults,
    crashes: chaos.crashes(),
    recordings: rows.recordings.size,
    receipts: rows.sendings.filter(row => row.state === 'done').length,
    commits: watches.reduce(
      (sum, watch) => sum + watch.history.filter(change => change.by === 'message' && change.digest !== null).length,
      0,
    ),
  }
}
