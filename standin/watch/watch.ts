import { randomBytes } from 'node:crypto'
import { unitsOf } from '../../core/athlete/athlete'
import { randomFrom } from '../../core/quantity/random'
import type { Act, Around, GlassMode, Knob } from '../../core/wrist/engine/buttons'
import { knobWords, pushKnob, restedGlass } from '../../core/wrist/engine/buttons'
import { faceOf } from '../../core/wrist/engine/face'
import { entrancesOf } from '../../core/wrist/program/program-steps'
import type { WatchMemory } from '../../core/wrist/link/watch-memory'
import { emptyMemory, keepRecording, programIn, restoredMemory, slotStates } from '../../core/wrist/link/watch-memory'
import { hideCode, receiveFrame, showCode, shownCode } from '../../core/wrist/link/watch-receive'
import type { Glass, LinkKind, LinkFaults } from '../../shared/api'
import type { Going, Wearer } from './going'
import { upgradeGoing } from './upgrade'
import { begin, isOver, pushNow, recordingOf, second } from './going'
import type { HandAct } from './hand'
import { byHand } from './hand'
import { carryFrame, usualLinks } from './link'
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

interface Case {
  isOn: boolean
  clockOff: number
}

const tickMilliseconds = 100

export function startWatch(address: string, profile: string, slots: number, store: Store, defaultWearer: Wearer): Watch {
  const newIncarnation = () => `${address}-${Date.now().toString(36)}-${randomBytes(3).toString('hex')}`
  const written = store.read<WatchMemory>('memory')
  let memory = written ? restoredMemory(written) : emptyMemory(address, newIncarnation(), profile, slots)
  let links = { ...usualLinks, ...store.read<Record<LinkKind, LinkFaults>>('links') }
  let body: Case = store.read<Case>('case') ?? { isOn: true, clockOff: 0 }
  let wearer = defaultWearer
  const left = memory.running === null ? null : upgradeGoing(store.read<Going>('going'))
  let going = left?.state && left.speaker && left.settings ? (left as Going) : null
  if (!going) memory = { ...memory, running: null }
  let mode: GlassMode = restedGlass
  let savedAt = 0
  let carriedOver = 0
  let random = randomFrom(Date.now())
  const linkRandom = randomFrom(Date.now() ^ 0x5bd1)
  const secret = (count: number) => new Uint8Array(randomBytes(count))
  const listeners = new Set<() => void>()
  const now = () => Date.now() + body.clockOff
  const tell = () => listeners.forEach(listener => listener())

  const keepMemory = (next: WatchMemory) => {
    if (next === memory) return
    memory = next
    store.write('memory', memory)
  }
  const keepGoing = (force = false) => {
    if (!force && Date.now() - savedAt < 1000) return
    savedAt = Date.now()
    store.write('going', going)
  }
  const keepCase = (next: Case) => {
    body = next
    store.write('case', body)
  }

  /** Trap: the recording is kept and the slot let go in one write; a run found on the disk behind that is over, whatever it says. */
  function takeOn(next: Going, force = false) {
    going = next
    if (isOver(next)) {
      const recording = recordingOf(next)
      keepMemory({ ...(recording ? keepRecording(memory, recording) : memory), running: null })
      going = null
      mode = { ...mode, look: false, entering: null }
    }
    keepGoing(force || going === null)
  }

  const around = (): Around => ({
    slots: slotStates(memory)
      .filter(held => held.digest !== null)
      .map(held => held.slot),
    programOf: slot => programIn(memory, slot),
    going: going && { program: going.program, phase: going.state.phase },
  })

  function act(asked: Act) {
    switch (asked.do) {
      case 'nothing':
        return
      case 'code':
        return keepMemory(shownCode(memory, now()) ? hideCode(memory) : showCode(memory, now(), secret))
      case 'start': {
        const program = programIn(memory, asked.slot)
        if (!program) return
        keepMemory({ ...memory, running: asked.slot })
        random = randomFrom(wearer.seed)
        return takeOn(begin(asked.slot, program, wearer, new Date(now()).toISOString(), asked.from), true)
      }
      case 'push':
        return going ? takeOn(pushNow(going, { kind: asked.button }), true) : undefined
      case 'jump':
        return going ? takeOn(pushNow(going, { kind: 'jump', to: asked.to }), true) : undefined
    }
  }

  const timer = setInterval(() => {
    if (!going || !body.isOn) return
    carriedOver += (going.wearer.speed * tickMilliseconds) / 1000
    if (carriedOver < 1) return
    while (carriedOver >= 1 && going) {
      carriedOver -= 1
      takeOn(second(going, random))
    }
    tell()
  }, tickMilliseconds)

  function hear(frame: string): string | null {
    if (!body.isOn) return null
    const heard = receiveFrame(memory, frame, now(), secret)
    if (!heard) return null
    keepMemory(heard.memory)
    tell()
    return heard.reply
  }

  return {
    onChange(listener) {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    glass: () => {
      const here = around()
      const held = slotStates(memory).filter(slot => slot.digest !== null)
      const chosen = here.slots.includes(mode.chosen ?? -1) ? mode.chosen : (here.slots[0] ?? null)
      const pointed = going?.program ?? (chosen === null ? null : programIn(memory, chosen))
      return {
        watch: address,
        profile,
        slots: held.map(({ slot, name }) => ({ slot, name: name ?? '' })),
        chosen,
        face: going ? faceOf(going.program, going.state, unitsOf(going.wearer.athlete).run) : null,
        said: going?.said && going.said.until > going.state.t ? going.said.words : null,
        entrances: mode.entering && pointed ? { words: entrancesOf(pointed).map(entrance => entrance.words), at: mode.entering.at } : null,
        knobs: knobWords(mode, here),
        code: shownCode(memory, now()),
        recordingsWaiting: memory.records.length,
        isPaired: memory.bond !== null,
        speed: going?.wearer.speed ?? wearer.speed,
        look: mode.look,
        links,
        ...body,
      }
    },
    message: (kind, frame) =>
      carryFrame(
        frame,
        () => links[kind],
        faults => (links = { ...links, [kind]: faults }),
        linkRandom,
        hear,
      ),
    push(knob, isHeld) {
      if (!body.isOn) return
      const pushed = pushKnob(mode, knob, isHeld, around())
      mode = pushed.mode
      act(pushed.act)
      tell()
    },
    choose(slot) {
      if (going || !programIn(memory, slot)) return false
      mode = { ...mode, chosen: slot, entering: null }
      tell()
      return true
    },
    wear(next) {
      wearer = next
      if (going) going = { ...going, wearer: { ...next, athlete: going.wearer.athlete, seed: going.wearer.seed } }
      tell()
    },
    setLink(kind, faults) {
      links = { ...links, [kind]: faults }
      store.write('links', links)
      tell()
    },
    hand(asked) {
      const done = ((): boolean => {
        switch (asked.do) {
          case 'power':
            keepGoing(true)
            keepCase({ ...body, isOn: asked.on })
            return true
          case 'clock':
            keepCase({ ...body, clockOff: asked.off })
            return true
          case 'reset':
            going = null
            mode = restedGlass
            keepGoing(true)
            keepMemory(emptyMemory(address, newIncarnation(), profile, slots))
            return true
          default: {
            const next = byHand(memory, asked)
            if (next) keepMemory(next)
            return next !== null
          }
        }
      })()
      tell()
      return done
    },
    stop() {
      clearInterval(timer)
      keepGoing(true)
    },
  }
}
