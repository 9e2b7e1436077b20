import { randomBytes } from 'node:crypto'
import { randomFrom } from '../../core/quantity/random'
import type { Act, GlassMode, Knob } from '../../core/wrist/engine/buttons'
import { pushKnob, restedGlass } from '../../core/wrist/engine/buttons'
import type { WatchMemory } from '../../core/wrist/link/watch-memory'
import { handPut, keepRecording, programIn, slotStates } from '../../core/wrist/link/watch-memory'
import { hideCode, receiveFrame, showCode, shownCode } from '../../core/wrist/link/watch-receive'
import type { Glass, LinkFaults, LinkKind } from '../../shared/api'
import { aroundOf, glassOf } from './glass'
import type { Going, Wearer } from './going'
import { begin, isOver, pushNow, recordingOf, second } from './going'
import type { HandAct } from './hand'
import { byHand } from './hand'
import type { Kept } from './kept'
import { keptOn } from './kept'
import { carryFrame } from './link'
import type { Store } from './store'

export type { Wearer } from './going'

/** A watch that runs: the memory it keeps, the glass it shows, and the links it is reached over. */
export interface Watch {
  glass: () => Glass
  onChange: (listener: () => void) => () => void
  /** One frame over a link; null when nothing came back. */
  message: (kind: LinkKind, frame: string) => Promise<string | null>
  push: (knob: Knob, isHeld: boolean) => void
  choose: (slot: number) => boolean
  wear: (wearer: Wearer) => void
  setLink: (kind: LinkKind, faults: LinkFaults) => void
  /** False where the hand cannot do that now. */
  hand: (act: HandAct) => boolean
  stop: () => void
}

const tickMilliseconds = 100
const secret = (count: number) => new Uint8Array(randomBytes(count))

/** What is not written: who wears the watch, and what its glass points at. */
interface Worn {
  wearer: Wearer
  mode: GlassMode
}

/** Carries programs out on the watch: begins, takes pushes, and lets seconds pass. */
function running(kept: Kept, worn: Worn) {
  let carriedOver = 0
  let random = randomFrom(Date.now())

  /** Trap: the recording is kept and the slot let go in one write; a run found on the disk behind that is over, whatever it says. */
  function takeOn(next: Going, isAtOnce = false) {
    if (!isOver(next)) return kept.keepGoing(next, isAtOnce)
    const [memory, recording] = [kept.memory(), recordingOf(next)]
    kept.keepMemory({ ...(recording ? keepRecording(memory, recording) : memory), running: null })
    kept.keepGoing(null, true)
    worn.mode = { ...worn.mode, look: false, entering: null, changing: null }
  }

  function start(slot: number, from: (Act & { do: 'start' })['from']) {
    const program = programIn(kept.memory(), slot)
    if (!program) return
    kept.keepMemory({ ...kept.memory(), running: slot })
    random = randomFrom(worn.wearer.seed)
    takeOn(begin(slot, program, worn.wearer, new Date(kept.now()).toISOString(), from), true)
  }

  function act(asked: Act) {
    const [memory, going] = [kept.memory(), kept.going()]
    switch (asked.do) {
      case 'nothing':
        return
      case 'code':
        return kept.keepMemory(shownCode(memory, kept.now()) ? hideCode(memory) : showCode(memory, kept.now(), secret))
      case 'change': {
        const next = handPut(memory, asked.slot, asked.program)
        return next ? kept.keepMemory(next) : undefined
      }
      case 'start':
        return start(asked.slot, asked.from)
      case 'push':
        return going ? takeOn(pushNow(going, { kind: asked.button }), true) : undefined
      case 'jump':
        return going ? takeOn(pushNow(going, { kind: 'jump', to: asked.to }), true) : undefined
    }
  }

  /** The seconds that passed since the last tick; false where nothing goes on. */
  function tick(): boolean {
    let going = kept.going()
    if (!going || !kept.body().isOn) return false
    carriedOver += (going.wearer.speed * tickMilliseconds) / 1000
    if (carriedOver < 1) return false
    for (; carriedOver >= 1 && going; going = kept.going()) {
      carriedOver -= 1
      takeOn(second(going, random))
    }
    return true
  }

  return { act, tick }
}

/** What a hand does to the watch; false where it cannot do that now. */
function handle(kept: Kept, worn: Worn, asked: HandAct): boolean {
  switch (asked.do) {
    case 'power':
      kept.keepGoing(kept.going(), true)
      kept.keepCase({ ...kept.body(), isOn: asked.on })
      return true
    case 'clock':
      kept.keepCase({ ...kept.body(), clockOff: asked.off })
      return true
    case 'reset':
      worn.mode = restedGlass
      kept.keepGoing(null, true)
      kept.keepMemory(kept.unused())
      return true
    default: {
      const next = byHand(kept.memory(), asked)
      if (next) kept.keepMemory(next)
      return next !== null
    }
  }
}

/** The slot that has just been given another program; null where none was. */
function arrivedIn(before: WatchMemory, after: WatchMemory): number | null {
  if (before.slots === after.slots) return null
  const digests = new Map(slotStates(before).map(held => [held.slot, held.digest]))
  return slotStates(after).find(held => held.digest !== null && held.digest !== digests.get(held.slot))?.slot ?? null
}

/** A frame that came over a link; null where the watch does not answer. */
function hear(kept: Kept, worn: Worn, frame: string, tell: () => void): string | null {
  if (!kept.body().isOn) return null
  const before = kept.memory()
  const heard = receiveFrame(before, frame, kept.now(), secret)
  if (!heard) return null
  kept.keepMemory(heard.memory)
  const sent = arrivedIn(before, heard.memory)
  if (sent !== null && !kept.going()) worn.mode = { ...restedGlass, chosen: sent }
  tell()
  return heard.reply
}

/** Starts a watch on its disk: it goes on where it stopped. */
export function startWatch(address: string, profile: string, slots: number, store: Store, wearer: Wearer): Watch {
  const make = { address, profile, slots }
  const kept = keptOn(store, make)
  const worn: Worn = { wearer, mode: restedGlass }
  const runs = running(kept, worn)
  const linkRandom = randomFrom(Date.now() ^ 0x5bd1)
  const listeners = new Set<() => void>()
  const tell = () => listeners.forEach(listener => listener())
  const timer = setInterval(() => {
    if (runs.tick()) tell()
  }, tickMilliseconds)

  return {
    onChange(listener) {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    glass: () => glassOf(kept, make, worn.mode, worn.wearer),
    message: (kind, frame) =>
      carryFrame(
        frame,
        () => kept.links()[kind],
        faults => kept.setLink(kind, faults, false),
        linkRandom,
        sent => hear(kept, worn, sent, tell),
      ),
    push(knob, isHeld) {
      if (!kept.body().isOn) return
      const pushed = pushKnob(worn.mode, knob, isHeld, aroundOf(kept))
      worn.mode = pushed.mode
      runs.act(pushed.act)
      tell()
    },
    choose(slot) {
      if (kept.going() || !programIn(kept.memory(), slot)) return false
      worn.mode = { ...worn.mode, chosen: slot, entering: null, changing: null }
      tell()
      return true
    },
    wear(next) {
      worn.wearer = next
      const going = kept.going()
      if (going) kept.keepGoing({ ...going, wearer: { ...next, athlete: going.wearer.athlete, seed: going.wearer.seed } })
      tell()
    },
    setLink(kind, faults) {
      kept.setLink(kind, faults, true)
      tell()
    },
    hand(asked) {
      const isDone = handle(kept, worn, asked)
      tell()
      return isDone
    },
    stop() {
      clearInterval(timer)
      kept.keepGoing(kept.going(), true)
    },
  }
}
