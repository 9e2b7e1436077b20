import { digestOfBytes, digestOf } from '../../core/wrist/program/digest'
import type { Program } from '../../core/wrist/program/program'
import { fromBase64 } from '../../core/wrist/link/protocol'
import type { HeldSlot, WatchMemory } from '../../core/wrist/link/watch-memory'
import { emptyMemory, emptySlot, handPut, keepRecording, programIn } from '../../core/wrist/link/watch-memory'
import { receiveFrame, showCode } from '../../core/wrist/link/watch-receive'
import type { World } from './world'

/** Why a slot changed: a message did it, or a hand. */
export interface SlotChange {
  at: number
  incarnation: string
  slot: number
  generation: number
  digest: string | null
  by: 'message' | 'hand'
}

/** A watch of the simulation: its memory, its hand, and a history that the promises are checked against. */
export interface SimulatedWatch {
  name: string
  memory: () => WatchMemory
  /** A frame comes in; null when nothing goes back. */
  hear: (frame: string) => string | null
  /** Something a hand does; what it cannot do now is passed over. */
  hand: () => void
  showCode: () => string
  history: SlotChange[]
  /** Digests of every recording ever finished, and of those lost by a reset. */
  finished: Set<string>
  resetAway: Set<string>
  settleDown: () => void
}

const slotCount = 3
const profile = 'all-sport'

/** The memory of a simulated watch: every change goes into its history, and one that no watch may make is a fault. */
function watchedMemory(world: World, name: string, bond: NonNullable<WatchMemory['bond']>, fault: (what: string) => void) {
  let incarnations = 0
  let memory: WatchMemory = { ...emptyMemory(name, `${name}-0`, profile, slotCount), bond }
  const history: SlotChange[] = []
  const resetAway = new Set<string>()

  function isWhole(held: HeldSlot): boolean {
    if (held.digest === null) return held.bytes === ''
    return digestOfBytes(fromBase64(held.bytes)) === held.digest && programIn(memory, held.slot) !== null
  }

  function check(held: HeldSlot, was: HeldSlot, before: WatchMemory, by: SlotChange['by']) {
    if (!isWhole(held)) fault(`slot ${held.slot} of ${name} shows a part of a program`)
    if (before.incarnation === memory.incarnation && held.generation !== was.generation + 1)
      fault(`slot ${held.slot} of ${name} went from generation ${was.generation} to ${held.generation}`)
    if (before.running === held.slot && by === 'message') fault(`slot ${held.slot} of ${name} changed while it was carried out`)
  }

  function become(next: WatchMemory, by: SlotChange['by']) {
    const before = memory
    memory = next
    for (const held of memory.slots) {
      const was = before.slots.find(entry => entry.slot === held.slot) ?? emptySlot(held.slot, 0)
      if (was === held || (was.generation === held.generation && was.digest === held.digest)) continue
      check(held, was, before, by)
      const { slot, generation, digest } = held
      history.push({ at: world.now(), incarnation: memory.incarnation, slot, generation, digest, by })
    }
  }

  function reset() {
    memory.records.forEach(record => resetAway.add(record.digest))
    memory = emptyMemory(name, `${name}-${++incarnations}`, profile, slotCount)
  }

  return { now: () => memory, become, set: (next: WatchMemory) => (memory = next), reset, history, resetAway }
}

/** A recording of three seconds. */
const shortRecording = (startedAt: Date, program: Program | null) => ({
  format: 'agonis.recording' as const,
  version: 1 as const,
  sport: 'run' as const,
  startedAt: startedAt.toISOString(),
  samples: { t: [1, 2, 3], metres: [3, 6, 9] },
  marks: [],
  ...(program ? { program: digestOf(program) } : {}),
})

/** A watch with a hand of its own, which does what hands do at the worst moment. */
export function newWatch(
  world: World,
  name: string,
  owner: string,
  key: string,
  programs: readonly Program[],
  fault: (what: string) => void,
): SimulatedWatch {
  const memory = watchedMemory(world, name, { owner, key, counter: -1 }, fault)
  let clockOff = 0
  let isOn = true
  let runs = 0
  const finished = new Set<string>()
  const secret = (count: number) => Uint8Array.from({ length: count }, () => Math.floor(world.random.next() * 256))

  function finishRun() {
    const program = programIn(memory.now(), memory.now().running!)
    const recording = shortRecording(new Date(world.now() + runs++), program)
    finished.add(digestOf(recording))
    memory.become({ ...keepRecording(memory.now(), recording), running: null }, 'hand')
  }

  function put(slot: number, program: Program | null) {
    const next = handPut(memory.now(), slot, program)
    if (next) memory.become(next, 'hand')
  }

  function hand() {
    const slot = 1 + Math.floor(world.random.next() * slotCount)
    const what = world.random.next()
    const { running } = memory.now()
    if (what < 0.25) put(slot, { ...world.pick(programs), name: `Own ${Math.floor(world.random.next() * 1e6)}` })
    else if (what < 0.4) put(slot, null)
    else if (what < 0.6 && running === null && programIn(memory.now(), slot)) memory.set({ ...memory.now(), running: slot })
    else if (what < 0.8 && running !== null) finishRun()
    else if (what < 0.88) clockOff += (world.random.next() - 0.5) * 4 * 24 * 3600 * 1000
    else if (what < 0.94) {
      isOn = false
      world.after(400 * world.random.next(), () => (isOn = true))
    } else if (what < 0.945) memory.reset()
  }

  return {
    ...{ name, finished, hand, history: memory.history, resetAway: memory.resetAway, memory: memory.now },
    hear(frame) {
      if (!isOn) return null
      const heard = receiveFrame(memory.now(), frame, world.now() + clockOff, secret)
      if (!heard) return null
      memory.become(heard.memory, 'message')
      return world.chance(0.02) ? null : heard.reply
    },
    showCode() {
      memory.set(showCode(memory.now(), world.now() + clockOff, secret))
      return memory.now().pairing!.code
    },
    settleDown() {
      isOn = true
      if (memory.now().running !== null) finishRun()
    },
  }
}
