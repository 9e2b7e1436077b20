import type { Athlete } from '~~/core/athlete/athlete'
import type { SensorState } from '~~/core/sensors/collect'
import { silentSensors } from '~~/core/sensors/collect'
import { stepAt } from '~~/core/wrist/engine/cursor'
import type { SpeakerState } from '~~/core/wrist/engine/speaker'
import { silentSpeaker } from '~~/core/wrist/engine/speaker'
import { placeOf } from '~~/core/wrist/program/program'
import { runClock } from './clock'
import type { Journal } from './journal'
import type { Run } from './replay'
import type { simulatedWearer } from './simulated'

const clockFrom = (seconds: number) => runClock(seconds, { steady: () => performance.now(), day: () => Date.now() })

/** The run that this phone carries out: what the screen shows of it, and what is held beside it while it goes on. */
export function useRunInHand(athlete: () => Athlete) {
  const run = shallowRef<Run | null>(null)
  const held = {
    journal: null as Journal | null,
    sensors: silentSensors as SensorState,
    speaker: silentSpeaker as SpeakerState,
    wearer: null as ReturnType<typeof simulatedWearer> | null,
    clock: clockFrom(0),
    saidUntil: 0,
  }

  const now = () => Math.max(run.value?.state.t ?? 0, held.clock.now())

  return {
    athlete,
    run,
    held,
    said: ref<string | null>(null),
    gap: ref(''),
    speed: ref(1),
    isFull: ref(false),
    now,
    /** When a push comes: by the simulated wearer's seconds where there is one. */
    pushedAt: () => (held.wearer && run.value ? run.value.state.t : now()),
    setClock: (seconds: number) => (held.clock = clockFrom(seconds)),
    placeNow() {
      const { state, head } = run.value!
      return placeOf(state.cursor && stepAt(head.program, state.cursor), head.program)
    },
  }
}

export type RunInHand = ReturnType<typeof useRunInHand>
