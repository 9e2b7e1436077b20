import { unitsOf } from '~~/core/athlete/athlete'
import { hearFix, hearSensor, readingOf } from '~~/core/sensors/collect'
import type { Button, EngineEvent } from '~~/core/wrist/engine/engine'
import { sayCue, speak } from '~~/core/wrist/engine/speaker'
import type { Utterance } from '~~/core/wrist/engine/speaker'
import { takeEvent } from './replay'
import type { RunInHand } from './run-in-hand'
import { phoneTicking as texts } from '~/texts/en'

/** A gap between two readings that is worth a word, in seconds. */
const gapWorthAWord = 8

/** Takes what happens into the run, and lets it go on second by second until it is finished. */
export function useTicking(hand: RunInHand, say: (utterance: Utterance) => void, finish: () => Promise<void>) {
  const { run, held, said, gap, speed, athlete } = hand
  let ticker: ReturnType<typeof setTimeout> | undefined
  const stop = () => clearTimeout(ticker)

  function take(event: EngineEvent) {
    if (!run.value) return
    const taken = takeEvent(run.value, event)
    run.value = taken.run
    held.journal?.add(event)
    held.wearer?.heed(taken.cues)
    const units = unitsOf(athlete())
    const spoken = speak(held.speaker, taken.cues, event.t, cue => sayCue(cue, taken.run.head.program, units))
    held.speaker = spoken.state
    if (spoken.utterance) {
      said.value = spoken.utterance.words
      held.saidUntil = spoken.utterance.until
      say(spoken.utterance)
    } else if (event.t > held.saidUntil) said.value = null
    if (taken.run.state.phase !== 'finished') return
    stop()
    void finish()
  }

  const push = (button: Button) => take({ kind: button, t: hand.pushedAt() })
  const read = (t: number) => take({ kind: 'reading', ...readingOf(held.sensors, t, hand.placeNow()?.kind) })

  /** One second of the simulated wearer's. */
  function worn(wearer: NonNullable<typeof held.wearer>) {
    const { head, state } = run.value!
    const sent = wearer.second(head.program, state)
    const t = state.t + 1
    if (sent.fix) held.sensors = hearFix(held.sensors, { ...sent.fix, t })
    for (const message of sent.messages) held.sensors = hearSensor(held.sensors, message, t)
    read(t)
    for (let count = 0; count < sent.presses; count++) push('press')
    ticker = setTimeout(tick, 1000 / speed.value)
  }

  function tick() {
    const current = run.value
    if (!current || current.state.phase === 'finished') return
    if (held.wearer) return worn(held.wearer)
    const t = hand.now()
    const away = t - current.state.t
    if (away > gapWorthAWord) gap.value = texts.thisBrowserSleptFor(Math.round(away)) + texts.theTimeWentOn
    if (away > 0) read(t)
    ticker = setTimeout(tick, 1000)
  }

  return { take, push, tick, stop }
}
