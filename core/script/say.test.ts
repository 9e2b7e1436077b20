import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { arbitrarySession } from '../../tests/support/arbitrary-session'
import { readScript } from './reader/read-script'
import { sayItem } from './say'
import { nobody } from '../athlete/standpoint'

const say = (text: string, sport = 'run') => sayItem(readScript(`sport ${sport}\n\n${text}`, nobody).sessions[0]!.items[0]!)

describe('a row in spoken words', () => {
  it.each([
    ['8 times\n  400 m in 1:22-1:24\n  rest 2:00', '8 times: 400 metres in 1:22 to 1:24, then 2 minutes standing'],
    [
      '6 times, drop last recovery\n  1:30 @ 4:05-4:10 /km\n  recovery 1:30',
      '6 times: 1 minute 30 at 4:05 to 4:10 per kilometre, then 1 minute 30 recovery; no recovery after the last',
    ],
    ['warm-up until press', 'warm-up, until you press'],
    [
      '10:00 @ 5k effort + 8 s/km ceiling 160 bpm',
      '10 minutes at 5 kilometres effort, 8 seconds per kilometre slower, no higher than 160 beats a minute',
    ],
    ['2 km @ zone 2-3 heart rate', '2 kilometres in heart-rate zone 2 to 3'],
    ['repeat for 5 km\n  4:00\n  recovery 1:30 jog', 'again and again for 5 kilometres: 4 minutes, then 1 minute 30 jogging'],
    ['off 0:30 uphill 5-6 % @ RPE 8', 'switched off: 30 seconds uphill 5 to 6 percent feeling like 8 of ten'],
  ])('%s', (text, words) => expect(say(text)).toBe(words))

  it('names strokes and kit', () =>
    expect(say('100 m on 1:45 back kick fins', 'swim')).toBe('100 metres, leaving every 1 minute 45 backstroke kick with fins'))

  it('has words for everything a session can hold', () => {
    fc.assert(
      fc.property(arbitrarySession, session => {
        for (const item of session.items) expect(sayItem(item)).not.toMatch(/undefined|NaN|null|\[object/)
      }),
      { numRuns: 500 },
    )
  })
})
