import { describe, expect, it } from 'vitest'
import type { Athlete } from '../../core/athlete/athlete'
import { nobody, standpointAt, standpointOf } from '../../core/athlete/standpoint'
import { proposeSizes } from '../../core/advise/sizes'
import { sessionCard } from '../../core/card/session-card'
import type { Edit } from '../../core/edit/edit'
import { apply } from '../../core/edit/edit'
import { sessionCsv } from '../../core/exchange/session-csv'
import { ceilingAt } from '../../core/forecast/heart-response'
import { reckon } from '../../core/reckon/reckon'
import { printItem } from '../../core/script/print'
import { readScript } from '../../core/script/reader/read-script'
import { fit } from '../../core/wrist/fit/fit'
import { profileNamed } from '../../core/wrist/program/profile'
import { ilse } from '../../demo/athlete'
import { seenBy } from '../support/standpoint'

const inMiles: Athlete = {
  ...ilse,
  units: { run: 'mi', ride: 'mi', swim: 'yd' },
  preferredMeasure: { run: 'pace', ride: 'heart-rate', swim: 'heart-rate' },
}
const sessionOf = (text: string, standpoint = seenBy(ilse)) => readScript(text, standpoint).sessions[0]!

/** The row at `1` after an edit of it in the athlete's own words. */
function edited(text: string, edit: Edit, athlete = inMiles): string {
  const result = apply(sessionOf(text, seenBy(athlete)), edit, seenBy(athlete))
  return result.ok ? printItem(result.session.items[0]!) : result.refusal.code
}

describe('words typed into a row are read as the sheet reads them', () => {
  it.each<[string, string, Edit, string]>([
    ['a bare pace by the athlete\u2019s unit', 'sport run\n\n10:00', { do: 'target', at: '1', words: '6:52' }, '10:00 @ 6:52 /mi'],
    ['a zone by the athlete\u2019s measure', 'sport run\n\n10:00', { do: 'target', at: '1', words: 'Z4' }, '10:00 @ zone 4 pace'],
    ['bare metres by the pool', 'sport swim\nplace pool 25 yd\n\n100 yd', { do: 'end', at: '1', words: '200' }, '200 yd'],
    ['a whole row likewise', 'sport run\n\n10:00', { do: 'replace', at: '1', words: '5:00 @ 6:52' }, '5:00 @ 6:52 /mi'],
  ])('%s', (_, text, edit, row) => expect(edited(text, edit)).toBe(row))

  it('by the pool of their own leg', () => {
    const text = 'sport multi\n\nleg swim, place pool 25 yd\n  100 yd\nleg run\n  10:00'
    const result = apply(sessionOf(text), { do: 'end', at: '1.1', words: '200' }, seenBy(ilse))
    expect(result.ok && printItem(result.session.items[0]!)).toContain('200 yd')
  })
})

describe('a session is the same wherever it is looked at', () => {
  const young = standpointOf(ilse, '2026-03-31')
  const aged = standpointOf(
    { ...ilse, efforts: [{ sport: 'run', metres: 10_000, seconds: 2400, date: '2025-01-10' }, ...ilse.efforts!] },
    '2026-03-31',
  )
  const session = sessionOf('sport run\n\n20 km @ 10k effort')
  const likely = (standpoint: typeof young) => reckon(session, standpoint).seconds.likely!

  it('by the marks that are young on the day, and by those alone', () => {
    expect(likely(aged)).toBe(likely(young))
    expect(likely(standpointOf(aged.athlete, null))).toBeLessThan(likely(young))
  })
  it('on paper, in a table and in another size', () => {
    const old = standpointOf(aged.athlete, null)
    const summaryAt = (standpoint: typeof young) => sessionCard(session, standpoint, { size: 'a4' }).pages[0]!
    expect(summaryAt(aged)).toEqual(summaryAt(young))
    expect(summaryAt(old)).not.toEqual(summaryAt(young))
    expect(sessionCsv(session, aged)).toBe(sessionCsv(session, young))
    expect(sessionCsv(session, old)).not.toBe(sessionCsv(session, young))
    const set = sessionOf('sport run\n\n6 times\n  2 km @ 10k effort\n  recovery 2:00')
    const shorter = (standpoint: typeof young) => proposeSizes(set, standpoint, 3600).map(({ label, seconds }) => [label, seconds])
    expect(shorter(aged)).toEqual(shorter(young))
    expect(shorter(old)).not.toEqual(shorter(young))
  })
  it('in the rounds that a repeat for a distance comes to', () => {
    const repeat = sessionOf('sport run\n\nrepeat for 10 km\n  4:00 @ 10k effort\n  recovery 1:30')
    const rounds = Math.max(...reckon(repeat, aged).flat.map(step => step.round[0]!))
    const basic = { ...profileNamed('all-sport')!, repeatUntil: false }
    const [block] = fit(repeat, basic, aged).program.items
    expect(block).toMatchObject({ kind: 'block', repeat: { times: rounds } })
    expect(fit(repeat, basic, standpointOf(aged.athlete, null)).program.items[0]).not.toMatchObject({ repeat: { times: rounds } })
  })
  it('in the ceiling of a leg: by the heart of the leg\u2019s sport', () => {
    const athlete: Athlete = { ...ilse, heart: { ...ilse.heart, bySport: { ride: { max: 168 } } } }
    const legs = sessionOf('sport multi\nceiling 94 %HRmax\n\nleg ride\n  10:00\nleg run\n  10:00')
    const onWatch = fit(legs, profileNamed('all-sport')!, seenBy(athlete)).program.items.map(item => item.kind === 'step' && item.ceiling)
    expect(onWatch).toEqual([157, 171])
    expect(['1.1', '2.1'].map(path => ceilingAt(legs, path, seenBy(athlete)))).toEqual(onWatch)
  })
})

describe('the day', () => {
  it('is the one it is where the athlete lives', () => {
    const moment = new Date('2026-03-31T22:30:00Z')
    expect(standpointAt(ilse, 3, moment)).toMatchObject({ day: '2026-04-01', zone: 'Europe/Oslo', revision: 3 })
    expect(standpointAt({ ...ilse, timeZone: 'America/Denver' }, 3, moment).day).toBe('2026-03-31')
  })
  it('makes a date without a year the next such date, and without one it is asked', () => {
    const read = (standpoint: typeof nobody) => readScript('31 March: 10 km', standpoint)
    expect(read(standpointOf(ilse, '2026-03-30')).sessions[0]!.day).toBe('2026-03-31')
    expect(read(standpointOf(ilse, '2026-04-01')).sessions[0]!.day).toBe('2027-03-31')
    expect(read(nobody).sessions[0]!.day).toBeUndefined()
    expect(
      read(nobody)
        .remarks.filter(remark => remark.level === 'ask')
        .map(remark => remark.code),
    ).toEqual(['date'])
  })
  it.each([
    [1, ['2026-03-30', '2026-04-05']],
    [7, ['2026-03-30', '2026-03-29']],
    [6, ['2026-03-30', '2026-03-29']],
  ])('of a named day lies in the week as it begins for the athlete (%s)', (weekStart, days) => {
    const standpoint = standpointOf({ ...ilse, weekStart }, '2026-03-31')
    expect(readScript('Mon: 5 km\nSun: 20 km', standpoint, { week: '2026-04-01' }).sessions.map(session => session.day)).toEqual(days)
  })
})
