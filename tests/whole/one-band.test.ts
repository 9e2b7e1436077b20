import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { unitsOf } from '../../core/athlete/athlete'
import { paceReadingFor, sayTarget } from '../../core/athlete/say-target'
import { usualNudging } from '../../core/nudge/nudging'
import { reckon } from '../../core/reckon/reckon'
import { sheetRows } from '../../core/reckon/sheet'
import { readScript } from '../../core/script/reader/read-script'
import type { Session, Sport } from '../../core/session/document'
import { fit } from '../../core/wrist/fit/fit'
import { stepsOf } from '../../core/wrist/program/program-steps'
import { profileNamed } from '../../core/wrist/program/profile'
import { printProgramItem } from '../../core/wrist/program/words'
import { ilse } from '../../demo/athlete'
import { seenBy } from '../support/standpoint'

const watch = { ...profileNamed('all-sport')!, ...usualNudging }
const sessionOf = (text: string): Session => readScript(text, seenBy(ilse)).sessions[0]!
const rows: Readonly<Record<Sport, readonly string[]>> = {
  run: ['5k effort', '95-99 %CS', '10k effort - 2 %', '3:58.3-4:09.6 /km', '75-83 %HRmax', 'zone 3 heart rate', 'easy effort', '97 %CS'],
  ride: ['88-93 %CP', 'critical effort', '201.4-223.7 W', '28.43-30.17 km/h', 'zone 2-3 power'],
  swim: ['critical effort', '96-101 %CS', '1:47.2-1:52.9 /100m'],
}

describe('a band', () => {
  it('has the same ends on the sheet, the card and the watch, in whatever units', () => {
    const cases = Object.entries(rows).flatMap(([sport, targets]) => targets.map(target => [sport as Sport, target] as const))
    const units = fc.record({ run: fc.constantFrom('km', 'mi'), ride: fc.constantFrom('km', 'mi'), swim: fc.constantFrom('m', 'yd') })
    fc.assert(
      fc.property(fc.constantFrom(...cases), units, ([sport, target], chosen) => {
        const standpoint = seenBy({ ...ilse, units: chosen as NonNullable<typeof ilse.units> })
        const session = sessionOf(`sport ${sport}\n\n10:00 @ ${target}`)
        const reckoning = reckon(session, standpoint, watch)
        const [row] = sheetRows(session, reckoning, standpoint)
        const { program } = fit(session, watch, standpoint)
        const [step] = stepsOf(program.items)
        const own = unitsOf(standpoint.athlete)
        const onWatch = sayTarget(step!.target!, paceReadingFor(sport, own[sport]))
        expect(row!.comesTo).toBe(onWatch)
        expect(printProgramItem(step!, own)).toContain(onWatch)
      }),
      { numRuns: 150 },
    )
  })
  it('holds what is meant: no end is shown nearer to the middle than it is', () => {
    fc.assert(
      fc.property(fc.double({ min: 2, max: 6, noNaN: true }), fc.double({ min: 0.001, max: 0.1, noNaN: true }), (speed, room) => {
        const shown = sayTarget({ of: 'pace', unit: 'm/s', easiest: speed, hardest: speed * (1 + room) }, 'min/km')
        const seconds = [...shown.matchAll(/(\d+):(\d\d)/g)].map(([, minutes, rest]) => Number(minutes) * 60 + Number(rest))
        expect(Math.max(...seconds)).toBeGreaterThanOrEqual(1000 / speed - 0.11)
        expect(Math.min(...seconds)).toBeLessThanOrEqual(1000 / (speed * (1 + room)) + 0.11)
      }),
    )
  })
})

describe('a distance', () => {
  it.each([
    ['1 mi', '1 mi'],
    ['0.5 mi', '0.5 mi'],
    ['3.25 mi', '3.25 mi'],
    ['400 m', '400 m'],
    ['1600 m', '1600 m'],
    ['5 km', '5 km'],
    ['1.5 km', '1500 m'],
    ['10.5 km', '10.5 km'],
    ['125 yd', '125 yd'],
    ['1250 yd', '1250 yd'],
    ['407 m', '407 m'],
  ])('of %s is %s on the watch, also after fitting', (said, words) => {
    const { program } = fit(sessionOf(`sport run\n\n${said} @ 4:00 /km`), watch, seenBy(ilse))
    expect(printProgramItem(program.items[0]!)).toMatch(new RegExp(`^${words} @`))
  })
})
