import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ilse } from '../../demo/athlete'
import { arbitrarySession } from '../../tests/support/arbitrary-session'
import { seenBy } from '../../tests/support/standpoint'
import { nobody } from '../athlete/standpoint'
import { printSession } from '../script/print'
import { readScript } from '../script/reader/read-script'
import { progressed } from './progress'

const standpoint = seenBy(ilse)
const read = (rows: string, sport = 'run') => readScript(`sport ${sport}\n\n${rows}\n`, standpoint).sessions[0]!

describe('a session a little harder or easier', () => {
  it.each([
    ['2 km easy\n6 x 800 m @ 5k effort / 90 s jog\n10:00 easy', 'run'],
    ['warm-up 10:00\n4 x 6:00 @ 205-215 W / 3:00 easy\ncool-down 10:00', 'ride'],
    ['40:00 easy', 'run'],
    ['12 x 50 m @ critical / 30 s rest', 'swim'],
  ])('%s', (rows, sport) => {
    const session = read(rows, sport)
    const harder = progressed(session, standpoint, 'harder')!
    const easier = progressed(session, standpoint, 'easier')!
    expect(harder.to / harder.from).toBeGreaterThan(1.01)
    expect(harder.to / harder.from).toBeLessThan(1.25)
    expect(easier.to / easier.from).toBeLessThan(0.97)
    expect(easier.to / easier.from).toBeGreaterThan(0.6)
    expect(printSession(harder.session)).not.toBe(printSession(session))
    expect(readScript(printSession(harder.session), standpoint).sessions[0]!.items).toEqual(harder.session.items)
  })

  it('is no harder than hard, and nothing for nobody', () => {
    const race = read('10 km @ 10k effort')
    expect(progressed(race, standpoint, 'harder')).toBeNull()
    expect(progressed(race, standpoint, 'easier')!.to).toBeLessThan(0.92)
    expect(progressed(race, nobody, 'harder')).toBeNull()
  })

  it('goes the way that was asked for, whatever the session is, and leaves the one it was given as it was', () =>
    fc.assert(
      fc.property(arbitrarySession, fc.constantFrom('harder' as const, 'easier' as const), (session, way) => {
        const before = structuredClone(session)
        const made = progressed(session, standpoint, way)
        expect(session).toEqual(before)
        if (made) expect(Math.sign(made.to - made.from)).toBe(way === 'harder' ? 1 : -1)
      }),
      { numRuns: 60 },
    ))
})
