import type { Fix } from '~~/core/sensors/position'
import { resumeAt } from '~~/core/sensors/position'
import type { SensorState } from '~~/core/sensors/collect'
import { hearFix, hearSensor, readingOf, silentSensors } from '~~/core/sensors/collect'
import type { SensorMessage } from '~~/core/sensors/gatt'
import type { Athlete } from '~~/core/athlete/athlete'
import { unitsOf } from '~~/core/athlete/athlete'
import type { StepPosition } from '~~/core/wrist/program/program'
import { stepAt } from '~~/core/wrist/engine/cursor'
import type { Button, EngineEvent } from '~~/core/wrist/engine/engine'
import { faceOf } from '~~/core/wrist/engine/face'
import { cuesOf } from '~~/core/wrist/engine/settings'
import { placeOf } from '~~/core/wrist/program/program'
import { sayCue, silentSpeaker, speak } from '~~/core/wrist/engine/speaker'
import { keepAwake } from './awake'
import { runClock } from './clock'
import type { Journal } from './journal'
import { openJournal, unfinishedRun } from './journal'
import type { Run, RunHead } from './replay'
import { newRun, recordingOfRun, replay, takeEvent } from './replay'
import { simulatedWearer } from './simulated'
import { outlet } from './speak'
import { keepWaiting } from './store'

/** A gap between two readings that is worth a word, in seconds. */
const gapWorthAWord = 8

/** A session run for real on this phone: clock, sensors, engine, voice and journal. */
export function usePhoneRun(athlete: () => Athlete, onFinished: () => void) {
  const run = shallowRef<Run | null>(null)
  const said = ref<string | null>(null)
  const gap = ref('')
  const speed = ref(1)
  const isAwake = ref(false)
  const isFull = ref(false)
  let journal: Journal | null = null
  let sensors: SensorState = silentSensors
  let speaker = silentSpeaker
  let wearer: ReturnType<typeof simulatedWearer> | null = null
  let ticker: ReturnType<typeof setTimeout> | undefined
  let saidUntil = 0
  const voice = outlet(() => cuesOf(athlete()))
  const awake = keepAwake(held => (isAwake.value = held))

  const clockFrom = (seconds: number) => runClock(seconds, { steady: () => performance.now(), day: () => Date.now() })
  let clock = clockFrom(0)
  const now = () => Math.max(run.value?.state.t ?? 0, clock.now())
  const placeNow = () => {
    const {
      state,
      head: { program },
    } = run.value!
    return placeOf(state.cursor && stepAt(program, state.cursor), program)
  }

  function take(event: EngineEvent) {
    if (!run.value) return
    const taken = takeEvent(run.value, event)
    run.value = taken.run
    journal?.add(event)
    wearer?.heed(taken.cues)
    const unit = unitsOf(athlete()).run
    const spoken = speak(speaker, taken.cues, event.t, cue => sayCue(cue, taken.run.head.program, unit))
    speaker = spoken.state
    if (spoken.utterance) {
      said.value = spoken.utterance.words
      saidUntil = spoken.utterance.until
      voice.say(spoken.utterance)
    } else if (event.t > saidUntil) said.value = null
    if (taken.run.state.phase === 'finished') void finish()
  }

  async function finish() {
    clearTimeout(ticker)
    const ended = run.value!
    const recording = recordingOfRun(ended)
    try {
      if (recording) await keepWaiting(recording, ended.head.program, ended.head.session)
      await journal?.end()
    } catch {
      isFull.value = true
      return
    }
    journal = null
    run.value = null
    await awake.end()
    onFinished()
  }

  function tick() {
    const current = run.value
    if (!current || current.state.phase === 'finished') return
    if (wearer) {
      const sent = wearer.second(current.head.program, current.state)
      const t = current.state.t + 1
      if (sent.fix) sensors = hearFix(sensors, { ...sent.fix, t })
      for (const message of sent.messages) sensors = hearSensor(sensors, message, t)
      take({ kind: 'reading', ...readingOf(sensors, t, placeNow()?.kind) })
      for (let count = 0; count < sent.presses; count++) push('press')
      ticker = setTimeout(tick, 1000 / speed.value)
      return
    }
    const t = now()
    const away = t - current.state.t
    if (away > gapWorthAWord)
      gap.value =
        `This browser slept for ${Math.round(away)} s: ` + 'the time went on, and the track is joined straight once the position is back.'
    if (away > 0) take({ kind: 'reading', ...readingOf(sensors, t, placeNow()?.kind) })
    ticker = setTimeout(tick, 1000)
  }

  async function begin(head: RunHead, from?: StepPosition) {
    voice.open()
    gap.value = ''
    sensors = silentSensors
    speaker = silentSpeaker
    wearer = head.simulated ? simulatedWearer(athlete(), 1) : null
    journal = await openJournal(head)
    run.value = newRun(head)
    clock = clockFrom(0)
    take({ kind: 'start', t: 0, ...(from ? { from } : {}) })
    await journal.flush()
    await awake.begin()
    tick()
  }

  /** Goes on with a run that the page left in the middle: what the journal has, and the time that has passed since. */
  async function goOn(): Promise<boolean> {
    const left = await unfinishedRun()
    if (!left) return false
    run.value = replay(left.head, left.events)
    if (run.value.state.phase === 'ready' || run.value.state.phase === 'finished') {
      await finish()
      return false
    }
    journal = await openJournal(left.head, left.parts)
    clock = clockFrom(Math.max(run.value.state.t, (Date.now() - Date.parse(left.head.startedAt)) / 1000))
    const last = left.events.findLast(event => event.kind === 'reading' && typeof event.lat === 'number' && typeof event.lon === 'number')
    const metres = run.value.state.sensorMetres ?? 0
    sensors =
      last?.kind === 'reading'
        ? { ...silentSensors, position: resumeAt({ t: last.t, lat: last.lat!, lon: last.lon!, accuracy: 10 }, metres) }
        : { ...silentSensors, belt: { metres, speed: 0, t: run.value.state.t } }
    wearer = left.head.simulated ? simulatedWearer(athlete(), 2) : null
    gap.value = `The page was away and goes on: ${Math.round(run.value.state.t)} s were written down.`
    await awake.begin()
    tick()
    return true
  }

  const push = (button: Button) => take({ kind: button, t: wearer && run.value ? run.value.state.t : now() })
  const jump = (to: StepPosition) => take({ kind: 'jump', t: wearer && run.value ? run.value.state.t : now(), to })
  const hear = (message: SensorMessage) => (sensors = hearSensor(sensors, message, now()))
  const hearPosition = (fix: Omit<Fix, 't'>) => (sensors = hearFix(sensors, { ...fix, t: now() }))
  const face = computed(() =>
    run.value && run.value.state.phase !== 'finished' ? faceOf(run.value.head.program, run.value.state, unitsOf(athlete()).run) : null,
  )

  const flush = () => void journal?.flush()
  const hide = () => {
    if (document.visibilityState === 'hidden') clock.hidden()
    flush()
  }
  onMounted(() => {
    addEventListener('pagehide', flush)
    document.addEventListener('visibilitychange', hide)
  })
  onBeforeUnmount(() => {
    removeEventListener('pagehide', flush)
    document.removeEventListener('visibilitychange', hide)
    clearTimeout(ticker)
    flush()
    void awake.end()
  })

  return {
    run,
    face,
    said,
    gap,
    speed,
    isAwake,
    isFull,
    canStayAwake: awake.isPossible,
    begin,
    goOn,
    push,
    jump,
    hear,
    hearPosition,
    finish,
  }
}
