import { describe, expect, it } from 'vitest'
import { nudgePicture } from '../../core/forecast/forecast'
import { readScript } from '../../core/script/reader/read-script'
import { fit } from '../../core/wrist/fit/fit'
import { profileNamed } from '../../core/wrist/program/profile'
import { ilse } from '../../demo/athlete'
import { seenBy } from '../../tests/support/standpoint'
import { rehearse } from './rehearse'

const startedAt = '2026-03-31T06:00:00.000Z'
const watch = profileNamed('all-sport')!
const rehearsals = Number(process.env.REHEARSALS ?? 10)

/** Bands narrow enough that each rehearsal has nudges to count. */
const sessions: [what: string, text: string][] = [
  ['a run on the road by pace', 'sport run\nplace road\n\n40:00 @ 5:00-5:04 /km'],
  ['a run on the track by pace', 'sport run\nplace track\n\n5 times\n  1600 m @ 4:40-4:44 /km\n  recovery 2:00'],
  ['a run on the treadmill by pace', 'sport run\nplace treadmill\n\n40:00 @ 5:00-5:02 /km'],
  ['a run by heart rate', 'sport run\n\n2:00:00 @ 140-145 bpm'],
  ['repeats by heart rate', 'sport run\n\n4 times\n  8:00 @ 150-153 bpm\n  recovery 3:00'],
  ['a run by cadence', 'sport run\n\n40:00 @ 178-180 spm'],
  ['a ride by power', 'sport ride\nplace road\n\n40:00 @ 185-195 W'],
  ['a ride on the trainer by power', 'sport ride\nplace trainer\n\n6 times\n  5:00 @ 200-206 W\n  recovery 2:00'],
  ['a ride by speed', 'sport ride\nplace road\n\n40:00 @ 28.8-29.2 km/h'],
  ['a ride by heart rate', 'sport ride\n\n1:30:00 @ 128-131 bpm'],
  ['a ride by cadence', 'sport ride\n\n40:00 @ 89-91 rpm'],
  ['a swim in a short pool by pace', 'sport swim\nplace pool 25 m\n\n6 times\n  400 m @ 2:01.4-2:01.6 /100m\n  rest 0:20'],
  ['a swim in a long pool by pace', 'sport swim\nplace pool 50 m\n\n6 times\n  400 m @ 2:01.4-2:01.6 /100m\n  rest 0:20'],
  ['a swim by the clock', 'sport swim\nplace pool 25 m\n\n20 times\n  100 m on 2:20 @ 2:01.4-2:01.6 /100m'],
  ['a swim in open water by pace', 'sport swim\nplace open-water\n\n30:00 @ 2:00-2:06 /100m'],
  ['a swim by heart rate', 'sport swim\nplace open-water\n\n40:00 @ 128-131 bpm'],
]

describe('the nudges that are forecast', () => {
  it.each(sessions)(
    'are those of a rehearsal, within a fifth or one: %s',
    (what, text) => {
      const session = readScript(text, seenBy(ilse)).sessions[0]!
      const { program } = fit(session, watch, seenBy(ilse))
      const told = nudgePicture(session, seenBy(ilse), watch, { runs: 400 }).forecast.total.expected
      let heard = 0
      const times = text.includes('pool') ? 4 * rehearsals : rehearsals
      for (let seed = 1; seed <= times; seed++)
        heard += rehearse(program, ilse, { seed, startedAt }).marks.filter(mark => mark.kind === 'nudge').length
      const each = heard / times
      expect(Math.abs(told - each), `${what}: ${told} told, ${each} heard`).toBeLessThan(Math.max(1, 0.2 * each))
    },
    900_000,
  )
})
