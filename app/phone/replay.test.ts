import { describe, expect, it } from 'vitest'
import { readScript } from '~~/core/script/reader/read-script'
import { validateRecording } from '~~/core/formats/validate'
import { randomFrom } from '~~/core/quantity/random'
import { checkRecording } from '~~/core/record/recording'
import { usualSettings } from '~~/core/wrist/engine/engine'
import type { EngineEvent } from '~~/core/wrist/engine/engine'
import { fit } from '~~/core/wrist/fit/fit'
import { phoneProfile } from '~~/core/wrist/program/profile'
import type { Run, RunHead } from './replay'
import { newRun, recordingOfRun, replay, takeEvent } from './replay'
import { nobody } from '~~/core/athlete/standpoint'

const { program } = fit(
  readScript('title Quay\nsport run\n\n0:40\n4 times\n  0:30 @ 4:20-4:50 /km\n  recovery 0:20\n', nobody).sessions[0]!,
  phoneProfile,
  nobody,
)
const head: RunHead = {
  program,
  session: null,
  startedAt: '2026-03-31T06:00:00.000Z',
  timeZone: 'Europe/Oslo',
  settings: { ...usualSettings, autoLapMetres: 100 },
  simulated: false,
}

function eventsOf(seed: number): EngineEvent[] {
  const random = randomFrom(seed)
  const events: EngineEvent[] = [{ kind: 'start', t: 0 }]
  let metres = 0
  for (let t = 1; t < 260; t += 0.5 + random.next()) {
    metres += 3 * random.next()
    const lost = random.next() < 0.1
    events.push({
      kind: 'reading',
      t,
      metres: lost ? null : metres,
      heartRate: 140,
      power: null,
      cadence: null,
      ...(lost ? {} : { lat: 58.9 + t / 1e5, lon: 5.6, altitude: null }),
    })
    if (random.next() < 0.05) events.push({ kind: (['pause', 'resume', 'skip', 'back'] as const)[Math.floor(random.next() * 4)]!, t })
  }
  return events
}

describe('a journal replayed', () => {
  it('brings the very run it tells of, wherever the page went away', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const events = eventsOf(seed)
      const cut = Math.floor((events.length * (seed % 10)) / 10)
      let whole: Run = newRun(head)
      for (const event of events) whole = takeEvent(whole, event).run
      let goneOn = replay(head, events.slice(0, cut))
      for (const event of events.slice(cut)) goneOn = takeEvent(goneOn, event).run
      expect(goneOn.state, `seed ${seed}`).toEqual(whole.state)
      expect(recordingOfRun(goneOn)).toEqual(recordingOfRun(whole))
    }
  })

  it('makes a sound recording with where it was, and none of nothing', () => {
    const recording = recordingOfRun(replay(head, eventsOf(3)))!
    expect(validateRecording(recording).ok).toBe(true)
    expect(checkRecording(recording)).toBeNull()
    expect(recording.samples.lat!.some(value => value !== null)).toBe(true)
    expect(recording.samples.t).toHaveLength(eventsOf(3).filter(event => event.kind === 'reading').length)
    expect(recording.samples.altitude).toBeUndefined()
    expect(recordingOfRun(replay(head, [{ kind: 'start', t: 0 }]))).toBeNull()
  })
})
