import type { Athlete } from '~~/core/athlete/athlete'
import { encodeSensor } from '~~/core/sensors/encode'
import type { SensorKind, SensorMessage } from '~~/core/sensors/gatt'
import { decodeSensor } from '~~/core/sensors/gatt'
import type { Fix } from '~~/core/sensors/position'
import { randomFrom } from '~~/core/quantity/random'
import type { Cue, EngineState } from '~~/core/wrist/engine/engine'
import type { Program } from '~~/core/wrist/program/program'
import { heed, live, restedBody } from '~~/standin/body/body'
import { ledBy, noPress, ownPresses } from '~~/standin/body/rehearse'

const start = { lat: 58.93, lon: 5.62 }
const metresPerDegree = 111_195
const behaviour = { bias: 0 }

/** What the simulated sensors send in a second: the same bytes that real ones send, and a position. */
export interface Sent {
  messages: SensorMessage[]
  fix: Fix | null
  presses: number
}

/** A simulated body with simulated sensors on it, for trying a session out at the table. */
export function simulatedWearer(athlete: Athlete, seed: number) {
  let body = restedBody(athlete)
  let press = noPress
  let crank = { count: 0, at: 0 }
  const random = randomFrom(seed)
  return {
    heed: (cues: readonly Cue[]) => (body = heed(body, cues)),
    second(program: Program, state: EngineState): Sent {
      const led = ledBy(program, state, athlete)
      const lived = live(body, led, 1, random, behaviour)
      body = lived.body
      const { reading } = lived
      const cadence = reading.cadence ?? 0
      if (cadence > 0)
        crank = {
          count: crank.count + Math.max(1, Math.round(cadence / 60)),
          at: crank.at + (Math.max(1, Math.round(cadence / 60)) * 60) / cadence,
        }
      const isIndoors = led.place?.kind === 'treadmill' || led.place?.kind === 'trainer'
      const kinds: SensorKind[] = [
        'heart-rate',
        ...(led.sport === 'ride' ? ['cycling-power' as const] : led.sport === 'run' ? ['running-speed' as const] : []),
      ]
      const felt = { bpm: reading.heartRate ?? 0, watts: reading.power ?? 0, cadence, speed: body.speed, crank }
      const own = ownPresses(program, state, press, athlete, random, behaviour)
      press = own.press
      return {
        messages: kinds.flatMap(kind => decodeSensor(kind, encodeSensor(kind, felt)) ?? []),
        presses: own.count,
        fix: isIndoors
          ? null
          : {
              t: reading.t,
              lat: start.lat + body.metres / metresPerDegree,
              lon: start.lon + random.normal() * 1e-6,
              accuracy: 4,
              altitude: null,
            },
      }
    },
  }
}
