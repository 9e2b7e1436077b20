import fc from 'fast-check'
import { deflateSync, strToU8 } from 'fflate'
import { describe, expect, it } from 'vitest'
import { randomFrom } from '../quantity/random'
import type { Recording } from '../record/recording'
import { packSession, unpackSession } from './passed-link'
import { withoutPrivate } from './private-parts'

describe('a session in a link', () => {
  it('comes out as it went in, from the whole address too', () => {
    fc.assert(
      fc.property(
        fc.record(
          {
            script: fc.string({ unit: 'grapheme', maxLength: 400 }),
            day: fc.constant('2026-03-31'),
            message: fc.string({ maxLength: 80 }),
          },
          { requiredKeys: ['script'] },
        ),
        passed => {
          const packed = packSession(passed)!
          expect(unpackSession(packed)).toEqual(passed)
          expect(unpackSession(`http://somewhere.test/passed#${packed}`)).toEqual(passed)
          expect(packed).toMatch(/^[\w.-]+$/)
        },
      ),
    )
  })
  it('that is too long is none, and one that swells, is cut, or is something else carries nothing', () => {
    const from = randomFrom(3)
    const random = Array.from({ length: 30_000 }, () => String.fromCharCode(33 + Math.floor(from.next() * 90))).join('')
    expect(packSession({ script: random })).toBeNull()
    const bomb = Buffer.from(deflateSync(strToU8(`{"script":"${'a'.repeat(3_000_000)}"}`))).toString('base64url')
    expect(unpackSession(`a1.${bomb}`)).toBeNull()
    const packed = packSession({ script: '10:00\n' })!
    fc.assert(
      fc.property(fc.integer({ min: 0, max: packed.length - 3 }), at => {
        expect(unpackSession(packed.slice(0, at))).toBeNull()
      }),
    )
    for (const link of ['', '#', 'a2.abc', 'a1.%%%', 'https://somewhere.test/']) expect(unpackSession(link)).toBeNull()
  })
})

describe('the private parts of a recording', () => {
  const recording: Recording = {
    format: 'agonis.recording',
    version: 1,
    sport: 'run',
    startedAt: '2026-03-31T06:00:00.000Z',
    timeZone: 'Europe/Oslo',
    samples: { t: [0, 1], metres: [0, 3], heartRate: [140, 141], power: [200, 201], lat: [60, 60], lon: [5, 5], altitude: [1, 2] },
    marks: [],
    felt: { rpe: 7, note: 'the quay' },
  }
  it('stay at home unless they are ticked', () => {
    const bare = JSON.stringify(withoutPrivate(recording, new Set()))
    for (const word of ['lat', 'lon', 'altitude', 'heartRate', '2026', 'Oslo', 'quay', 'rpe']) expect(bare).not.toContain(word)
    expect(bare).toContain('power')
    expect(withoutPrivate(recording, new Set(['position', 'heart', 'start', 'message']))).toEqual(recording)
  })
})
