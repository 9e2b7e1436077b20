import type { Missing } from '~~/core/words/missing'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { derivedNumbers } from '../../core/athlete/numbers'
import { unknownAthlete } from '../../core/athlete/athlete'
import { readScript } from '../../core/script/reader/read-script'
import { ilse } from '../../demo/athlete'
import { parseDistance, showDistance, showTime, speedUnits } from '../calculator/typed'
import { fieldsFor, raceFor } from './missing'
import { sayNumber } from './say-number'
import { fieldTests } from './tests'
import { readBounds, showBound, zoneUnit } from './zone-fields'
import { nobody, standpointOf } from '~~/core/athlete/standpoint'

describe('numbers as they are said', () => {
  it("have the digits they deserve, in the athlete's units", () => {
    expect(sayNumber({ value: 1349.55, unit: 's', sport: 'run', uncertainty: 27.3 }, ilse)).toEqual({
      value: '22:30',
      unit: '',
      around: '± 0:25',
    })
    expect(sayNumber({ value: 3.6, unit: 'm/s', sport: 'run', uncertainty: 0.03 }, ilse)).toEqual({
      value: '4:38',
      unit: '/km',
      around: '± 2 s',
    })
    expect(sayNumber({ value: 3.6, unit: 'm/s', sport: 'run' }, { ...ilse, units: { run: 'mi', ride: 'km', swim: 'm' } })).toEqual({
      value: '7:27',
      unit: '/mi',
      around: '',
    })
    expect(sayNumber({ value: 14_712, unit: 'J', sport: 'ride' }, ilse)).toMatchObject({ value: '14.7', unit: 'kJ' })
  })
  it('lose the digits that their range does not leave them', () => {
    const said = (value: number, uncertainty?: number) => {
      const { value: shown, around } = sayNumber(
        { value, unit: 'W', sport: 'ride', ...(uncertainty === undefined ? {} : { uncertainty }) },
        ilse,
      )
      return `${shown} ${around}`.trim()
    }
    expect([said(214.6), said(214.6, 0.2), said(214.6, 8), said(214.6, 35), said(214.6, 160)]).toEqual([
      '215',
      '215 ± 1',
      '214 ± 8',
      '210 ± 40',
      '200 ± 150',
    ])
  })
  it('are never more than the screen can say', () => {
    for (const number of derivedNumbers(standpointOf(ilse, '2026-03-31'))) {
      const { value, around } = sayNumber(number, ilse)
      expect(`${value}${around}`).not.toMatch(/NaN|Infinity|-\d|\d\.\d{3}/)
    }
  })
})

describe('a missing number', () => {
  it('is asked for by the field that answers it', () => {
    const asked = (missing: Missing) => fieldsFor(missing).map(field => field.key)
    expect(asked({ code: 'heart-reserve', sport: 'run' })).toEqual(['heart-max', 'heart-rest'])
    expect(asked({ code: 'critical-speed', sport: 'swim' })).toEqual(['swim-critical'])
    expect(asked({ code: 'critical-power', sport: 'ride' })).toEqual(['ride-power'])
    expect(asked({ code: 'easy-pace', sport: 'swim' })).toEqual(['swim-easy'])
    expect(asked({ code: 'own-zones', of: 'power', sport: 'ride' })).toEqual([])
    expect([raceFor({ code: 'race', sport: 'swim' }), raceFor({ code: 'critical-speed', sport: 'run' })]).toEqual(['swim', null])
  })
})

describe('field tests', () => {
  const typed: Record<string, Record<string, string>> = {
    'all-out': { mean: '298', end: '215' },
    'two-efforts': { 'short-time': '3:00', 'short': '299', 'long-time': '12:00', 'long': '235' },
    'run-pair': { 'short': '1200', 'short-time': '4:52', 'long': '3000', 'long-time': '13:11' },
    'swim-pair': { 'short-time': '3:32', 'long-time': '7:16' },
    'half-hour': { mean: '167' },
  }
  it.each(fieldTests.map(test => [test.key, test] as const))(
    '%s: says its caution, what follows, and changes the document',
    (key, test) => {
      expect(test.caution).toContain('doctor')
      const result = test.reckon(typed[key]!, '2026-03-31')
      if (typeof result === 'string') throw new Error(result)
      expect(result.said).not.toBe('')
      expect(JSON.stringify(result.change(unknownAthlete))).not.toBe(JSON.stringify(unknownAthlete))
      expect(typeof test.reckon({}, '2026-03-31')).toBe('string')
      expect(typeof test.reckon(Object.fromEntries(test.fields.map(field => [field.key, 'x'])), '2026-03-31')).toBe('string')
    },
  )
  it('recover critical power from what was planted', () => {
    const result = fieldTests[1]!.reckon(
      { 'short-time': '3:00', 'short': String(215 + 15_000 / 180), 'long-time': '12:00', 'long': String(215 + 15_000 / 720) },
      '2026-03-31',
    )
    expect(typeof result === 'string' ? null : result.change(unknownAthlete).ride).toEqual({ criticalPower: 215, wPrime: 15_000 })
  })
})

describe('typed zones', () => {
  it('are read as they are shown', () => {
    const { metres } = zoneUnit(ilse, 'run', 'pace')
    const read = readBounds('5:40 4:50, 4:20', metres)
    expect(read.ok && read.bounds.map(bound => showBound(bound, metres))).toEqual(['5:40', '4:50', '4:20'])
    expect(readBounds('4:20, 5:40', metres).ok).toBe(false)
    expect(readBounds('soon', null).ok).toBe(false)
  })
})

describe('what is typed into the reckoner', () => {
  it("is a distance in the sport's way", () => {
    expect(['10', '400', '6 mi', '5k', '1,5 km', 'far', '-3', '0'].map(text => parseDistance(text, ilse, 'run'))).toEqual([
      10_000,
      400,
      6 * 1609.344,
      5000,
      1500,
      null,
      null,
      null,
    ])
    expect(parseDistance('400', ilse, 'swim')).toBe(400)
    expect([showDistance(21_097.5), showDistance(400), showDistance(1609.344)]).toEqual(['21.1 km', '400 m', '1609.3 m'])
  })
  it('is a speed in every unit, there and back', () => {
    for (const sport of ['run', 'ride', 'swim'] as const) {
      for (const unit of speedUnits(ilse, sport)) {
        fc.assert(
          fc.property(fc.double({ min: 0.5, max: 15, noNaN: true }), speed => {
            const shown = unit.show(speed)
            expect(Math.abs(unit.toSpeed(shown)! / speed - 1)).toBeLessThan(0.12)
            expect(unit.show(unit.toSpeed(shown)!)).toBe(shown)
          }),
          { numRuns: 60 },
        )
        expect([unit.toSpeed('0'), unit.toSpeed('soon')]).toEqual([null, null])
      }
    }
  })
  it('never shows what is no time', () => expect([Number.NaN, -1, Infinity].map(showTime)).toEqual(['–', '–', '–']))
  it('gives rows that the reader takes as they are', () => {
    const unit = speedUnits(ilse, 'run')[0]!
    const { sessions, remarks } = readScript(`sport run\n\n${showDistance(10_000)} @ ${unit.show(3.546)} ${unit.words}\n`, nobody)
    expect(remarks.filter(remark => remark.level !== 'note')).toEqual([])
    expect(sessions[0]!.items).toMatchObject([{ kind: 'step', end: { on: 'distance', value: 10, unit: 'km' } }])
  })
})
