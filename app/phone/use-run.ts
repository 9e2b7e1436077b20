import type { Athlete } from '~~/core/athlete/athlete'
import { unitsOf } from '~~/core/athlete/athlete'
import { hearFix, hearSensor, silentSensors } from '~~/core/sensors/collect'
import type { SensorMessage } from '~~/core/sensors/gatt'
import type { Fix } from '~~/core/sensors/position'
import { resumeAt } from '~~/core/sensors/position'
import { faceOf } from '~~/core/wrist/engine/face'
import { cuesOf } from '~~/core/wrist/engine/settings'
import { silentSpeaker } from '~~/core/wrist/engine/speaker'
import type { StepPosition } from '~~/core/wrist/program/program'
import { openJournal, unfinishedRun } from './journal'
import type { RunHead } from './replay'
import { newRun, recordingOfRun, replay } from './replay'
import type { RunInHand } from './run-in-hand'
import { useRunInHand } from './run-in-hand'
import { simulatedWearer } from './simulated'
import { outlet } from './speak'
import { keepWaiting } from './store'
import { useTicking } from './ticking'
import { phoneUseRun as texts } from '~/texts/en'

/** What the sensors knew when the page left: the last position, or the metres made without one. */
function sensorsAfter(left: NonNullable<Awaited<ReturnType<typeof unfinishedRun>>>, t: number, metres: number) {
  const last = left.events.findLast(event => event.kind === 'reading' && typeof event.lat === 'number' && typeof event.lon === 'number')
  return last?.kind === 'reading'
    ? { ...silentSensors, position: resumeAt({ t: last.t, lat: last.lat!, lon: last.lon!, accuracy: 10 }, metres) }
    : { ...silentSensors, belt: { metres, speed: 0, t } }
}

/** Writes what is left of the journal when the page goes out of sight or away, and stops the clock with it. */
function useLeaving({ held }: RunInHand, end: () => void) {
  const flush = () => void held.journal?.flush()
  useEventListener(window, 'pagehide', flush)
  useEventListener(document, 'visibilitychange', () => {
    if (document.visibilityState === 'hidden') held.clock.hidden()
    flush()
  })
  onBeforeUnmount(() => {
    flush()
    end()
  })
}

/** Keeps the screen on while a run is going, as far as the browser does that. */
function useAwake() {
  const lock = useWakeLock()
  return {
    isPossible: lock.isSupported,
    isHeld: lock.isActive,
    begin: () => lock.request('screen').catch(() => {}),
    end: () => lock.release().catch(() => {}),
  }
}

interface Outlets {
  voice: ReturnType<typeof outlet>
  awake: ReturnType<typeof useAwake>
}

/** Begins a run, or goes on with one that the page left in the middle. */
function useBeginning(hand: RunInHand, goes: ReturnType<typeof useTicking>, on: Outlets, finish: () => Promise<void>) {
  const { run, held, gap, athlete } = hand

  async function begin(head: RunHead, from?: StepPosition) {
    on.voice.open()
    gap.value = ''
    held.sensors = silentSensors
    held.speaker = silentSpeaker
    held.wearer = head.simulated ? simulatedWearer(athlete(), 1) : null
    held.journal = await openJournal(head)
    run.value = newRun(head)
    hand.setClock(0)
    goes.take({ kind: 'start', t: 0, ...(from ? { from } : {}) })
    await held.journal.flush()
    await on.awake.begin()
    goes.tick()
  }

  /** What the journal has, and the time that has passed since; false where nothing was left. */
  async function goOn(): Promise<boolean> {
    const left = await unfinishedRun()
    if (!left) return false
    run.value = replay(left.head, left.events)
    const { state } = run.value
    if (state.phase === 'ready' || state.phase === 'finished') {
      await finish()
      return false
    }
    held.journal = await openJournal(left.head, left.parts)
    hand.setClock(Math.max(state.t, (Date.now() - Date.parse(left.head.startedAt)) / 1000))
    held.sensors = sensorsAfter(left, state.t, state.sensorMetres ?? 0)
    held.wearer = left.head.simulated ? simulatedWearer(athlete(), 2) : null
    gap.value = texts.thePageWasAway(Math.round(state.t))
    await on.awake.begin()
    goes.tick()
    return true
  }

  return { begin, goOn }
}

/** A session run for real on this phone: clock, sensors, engine, voice and journal. */
export function usePhoneRun(athlete: () => Athlete, onFinished: () => void) {
  const hand = useRunInHand(athlete)
  const { run, held, said, gap, speed, isFull } = hand
  const voice = outlet(() => cuesOf(athlete()))
  const awake = useAwake()

  async function finish() {
    goes.stop()
    const ended = run.value!
    const recording = recordingOfRun(ended)
    try {
      if (recording) await keepWaiting(recording, ended.head.program, ended.head.session)
      await held.journal?.end()
    } catch {
      isFull.value = true
      return
    }
    held.journal = null
    run.value = null
    await awake.end()
    onFinished()
  }
  const goes = useTicking(hand, voice.say, finish)
  const beginning = useBeginning(hand, goes, { voice, awake }, finish)
  useLeaving(hand, () => {
    goes.stop()
    void awake.end()
  })

  const face = computed(() =>
    run.value && run.value.state.phase !== 'finished' ? faceOf(run.value.head.program, run.value.state, unitsOf(athlete())) : null,
  )
  return {
    ...{ run, face, said, gap, speed, isFull, finish },
    ...beginning,
    isAwake: awake.isHeld,
    canStayAwake: awake.isPossible,
    push: goes.push,
    jump: (to: StepPosition) => goes.take({ kind: 'jump', t: hand.pushedAt(), to }),
    hear: (message: SensorMessage) => (held.sensors = hearSensor(held.sensors, message, hand.now())),
    hearPosition: (fix: Omit<Fix, 't'>) => (held.sensors = hearFix(held.sensors, { ...fix, t: hand.now() })),
  }
}
