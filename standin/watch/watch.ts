import type { Athlete } from '../../core/athlete/athlete'
import { unitsOf } from '../../core/athlete/athlete'
import type { Random } from '../../core/quantity/random'
import { randomFrom } from '../../core/quantity/random'
import { addMarks, addReading, emptyRecorder, finishRecording } from '../../core/record/recorder'
import type { Recorder } from '../../core/record/recorder'
import type { Sport } from '../../core/session/document'
import { digestOf } from '../../core/wrist/digest'
import type { Button, Cue, EngineState, Outcome } from '../../core/wrist/engine'
import { advance, initialState, progressOf } from '../../core/wrist/engine'
import { faceOf } from '../../core/wrist/face'
import type { Program } from '../../core/wrist/program'
import type { Numbered, Answer, Request } from '../../core/wrist/protocol'
import type { WatchMemory } from '../../core/wrist/watch-memory'
import { emptyMemory, keepRecording, programIn, receive, slotStates } from '../../core/wrist/watch-memory'
import type { Glass, LinkManner } from '../../shared/api'
import type { Body } from '../body/body'
import { live, restedBody } from '../body/body'
import { currentStep, pressMoment } from '../rehearse'
import { carry, goodLink } from './link'
import type { Store } from './store'

/** The body that wears the watch: whose abilities, which seed, how many times real time. */
export interface Wearer { athlete: Athlete, seed: number, speed: number, pressesItself: boolean }

interface Going {
  slot: number
  program: Program
  startedAt: string
  state: EngineState
  recorder: Recorder
  body: Body
  wearer: Wearer
  moment: { of: number, at: number | null }
}

/** A watch that runs: the memory it keeps, the glass it shows, and the link it is reached over. */
export interface Watch {
  glass: () => Glass
  onChange: (listener: () => void) => () => void
  /** One message over the link; null when it was lost on the way there or back. */
  message: (frame: string) => Promise<string | null>
  push: (button: 'top' | 'middle' | 'bottom', hold: boolean) => void
  choose: (slot: number) => boolean
  wear: (wearer: Wearer) => void
  setLink: (manner: LinkManner) => void
  reset: () => void
  stop: () => void
}

const tickMilliseconds = 100
const cueSeconds = 5

const isFinished = (state: EngineState) => state.phase === 'finished'

export function startWatch(address: string, profile: string, slots: number, store: Store, defaultWearer: Wearer): Watch {
  let memory = store.read<WatchMemory>('memory') ?? emptyMemory(address, newIncarnation(), profile, slots)
  let manner = store.read<LinkManner>('link') ?? goodLink
  let wearer = defaultWearer
  let going = store.read<Going>('going')
  let chosen: number | null = null
  let lastCue: Cue | null = null
  let look = false
  let savedAt = 0
  let carriedOver = 0
  let random: Random = randomFrom(Date.now())
  const linkRandom = randomFrom(Date.now() ^ 0x5bd1)
  const listeners = new Set<() => void>()

  function newIncarnation() {
    return `${address}-${Date.now().toString(36)}`
  }
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

  function take(outcome: Outcome) {
    going!.state = outcome.state
    addMarks(going!.recorder, outcome.marks)
    lastCue = outcome.cues.at(-1) ?? lastCue
    if (isFinished(outcome.state)) finish()
  }

  function finish() {
    const { program, recorder, startedAt } = going!
    if (recorder.samples.t.length > 0) {
      const zone = going!.wearer.athlete.timeZone
      keepMemory(keepRecording(memory, finishRecording(recorder, { sport: program.sport, startedAt, timeZone: zone, program: digestOf(program) })))
    }
    keepMemory({ ...memory, running: null })
    going = null
    keepGoing(true)
  }

  function start(slot: number) {
    const program = programIn(memory, slot)
    if (!program) return
    keepMemory({ ...memory, running: slot })
    random = randomFrom(wearer.seed)
    going = {
      slot, program, startedAt: new Date().toISOString(), state: initialState, recorder: emptyRecorder(),
      body: restedBody(wearer.athlete), wearer, moment: { of: -1, at: null },
    }
    take(advance(program, initialState, { kind: 'start', t: 0 }))
    keepGoing(true)
  }

  const push = (button: Button) => {
    if (!going) return
    take(advance(going.program, going.state, { kind: button, t: going.state.t }))
    keepGoing(true)
  }

  /** One second of the body's life, and what the engine makes of it. */
  function second() {
    const now = going!
    const { program, wearer: worn } = now
    const step = currentStep(program, now.state)
    const sport: Sport = step?.sport ?? (program.sport === 'multi' ? 'run' : program.sport)
    const moves = now.state.phase === 'running' ? step : null
    const lived = live(now.body, worn.athlete, sport, moves, step ? progressOf(step.end, now.state) ?? 0 : 0, 1, random, { bias: 0 })
    now.body = lived.body
    addReading(now.recorder, lived.reading)
    take(advance(program, now.state, { kind: 'reading', ...lived.reading }))
    if (!going || !worn.pressesItself || going.state.phase !== 'running' || !going.state.step) return
    const active = going.state.step
    if (going.moment.of !== active.startT) going.moment = { of: active.startT, at: pressMoment(currentStep(program, going.state)!, worn.athlete, random) }
    if (going.moment.at !== null && going.state.moving - active.startMoving >= going.moment.at) push('press')
  }

  const timer = setInterval(() => {
    if (!going) return
    carriedOver += going.wearer.speed * tickMilliseconds / 1000
    if (carriedOver < 1) return
    while (carriedOver >= 1 && going) {
      carriedOver -= 1
      second()
    }
    keepGoing()
    tell()
  }, tickMilliseconds)

  /** The programs held; the choice stays on one of them. */
  function heldSlots() {
    const held = slotStates(memory).filter(slot => slot.digest !== null)
    if (!held.some(slot => slot.slot === chosen)) chosen = held[0]?.slot ?? null
    return held
  }

  /** A cue is on the glass for a few seconds; then what comes next stands there again. */
  const freshCue = () => lastCue && going && going.state.t - lastCue.t <= cueSeconds ? lastCue : null

  function cycle() {
    const held = heldSlots()
    if (held.length === 0) return
    const at = held.findIndex(slot => slot.slot === chosen)
    chosen = held[(at + 1) % held.length]!.slot
  }

  return {
    onChange(listener) {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    glass: () => {
      const held = heldSlots()
      const unit = unitsOf(wearer.athlete).run
      return {
        watch: address, profile, slots: held.map(({ slot, name }) => ({ slot, name: name ?? '' })), chosen,
        face: going ? faceOf(going.program, going.state, unit) : null, lastCue: freshCue(), recordingsWaiting: memory.records.length,
        speed: going?.wearer.speed ?? wearer.speed, look, link: manner,
      }
    },
    async message(frame) {
      const there = carry(manner, Buffer.byteLength(frame), linkRandom)
      manner = there.manner
      if (manner.delay > 0) await new Promise(resolve => setTimeout(resolve, manner.delay))
      if (!there.passes) return null
      const request = JSON.parse(frame) as Numbered<Request>
      const { memory: next, answer } = receive(memory, request.body, Date.now())
      keepMemory(next)
      const reply = JSON.stringify({ number: request.number, body: answer } satisfies Numbered<Answer>)
      const back = carry(manner, Buffer.byteLength(reply), linkRandom)
      manner = back.manner
      if (manner.delay > 0) await new Promise(resolve => setTimeout(resolve, manner.delay))
      tell()
      return back.passes ? reply : null
    },
    push(button, hold) {
      if (!going) {
        if (button === 'bottom') cycle()
        if (button === 'top') heldSlots()
        if (button === 'top' && chosen !== null) start(chosen)
      }
      else if (button === 'top') push(going.state.phase === 'paused' ? 'resume' : 'pause')
      else if (button === 'middle') push(hold ? 'skip' : 'press')
      else if (hold) push(going.state.phase === 'paused' ? 'stop' : 'back')
      else look = !look
      tell()
    },
    choose(slot) {
      if (going || !programIn(memory, slot)) return false
      chosen = slot
      tell()
      return true
    },
    wear(next) {
      wearer = next
      if (going) going.wearer = { ...going.wearer, speed: next.speed, pressesItself: next.pressesItself }
      tell()
    },
    setLink(next) {
      manner = next
      store.write('link', manner)
      tell()
    },
    reset() {
      going = null
      keepGoing(true)
      keepMemory(emptyMemory(address, newIncarnation(), profile, slots))
      tell()
    },
    stop() {
      clearInterval(timer)
      keepGoing(true)
    },
  }
}
