import { describe, expect, it } from 'vitest'
import type { Athlete } from '~~/core/athlete/athlete'
import { distanceWords } from './words'

const athlete: Athlete = {
  format: 'agonis.athlete',
  version: 1,
  name: 'Athlete',
  timeZone: 'Europe/Oslo',
  units: { run: 'mi', ride: 'km', swim: 'yd' },
}

describe('the distance of a session', () => {
  it('is in the unit of its sport', () => {
    expect(distanceWords({ metres: 16093.44, sport: 'run' }, athlete)).toMatch(/^10(\.0)? mi$/)
    expect(distanceWords({ metres: 914.4, sport: 'swim' }, athlete)).toBe('1000 yd')
    expect(distanceWords({ metres: 40_000, sport: 'ride' }, athlete)).toMatch(/^40(\.0)? km$/)
  })
  it('is in kilometres where sports are mixed', () => {
    expect(distanceWords({ metres: 12_345, sport: 'multi' }, athlete)).toBe('12.3 km')
  })
  it('is a dash where nobody knows it', () => {
    expect(distanceWords({ metres: null, sport: 'run' }, athlete)).toBe('–')
  })
})
