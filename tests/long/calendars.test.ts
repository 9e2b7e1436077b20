import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import type { CalendarEntry } from '../../core/exchange/plan-ics'
import { planIcs } from '../../core/exchange/plan-ics'
import { readIcs } from '../../core/exchange/read-ics'
import { daysFrom } from '../../core/quantity/day'

/** The plan in two calendar programs of Debian, khal and calcurse: before and after a move, over the turn of the clocks. */

const zone = 'Europe/Oslo'
const first = '2026-10-23'
const entry = (id: string, offset: number, title: string, changed = 0, kind: CalendarEntry['kind'] = 'session'): CalendarEntry => ({
  id,
  day: daysFrom(first, offset),
  kind,
  title,
  words: '6 times; 800 m @ 3:50 /km, recovery 1:30\nüber den Kvitberg',
  seconds: 3600,
  changedAt: new Date(Date.UTC(2026, 9, 1, 10, 0, changed)),
})
const ways = { name: 'Training', timeZone: zone, times: { weekdays: 1080, weekend: 540 }, alarm: 30 }
const before = [entry('a', 0, 'Six, eights; and more'), entry('b', 2, 'Long Sunday'), entry('c', 3, 'Nøkken fours')]
const after = [before[0]!, before[1]!, entry('c', 4, 'Nøkken fours', 5), entry('n', 5, 'Shoes', 0, 'note')]

let home: string
beforeEach(() => (home = mkdtempSync(join(tmpdir(), 'agonis-calendars-'))))
afterEach(() => rmSync(home, { recursive: true, force: true }))
const run = (command: string, ...args: string[]) =>
  execFileSync(command, args, { encoding: 'utf8', env: { ...process.env, HOME: home, TZ: zone, LC_ALL: 'C.UTF-8', XDG_CONFIG_HOME: home } })
const fileOf = (entries: readonly CalendarEntry[]) => {
  const file = join(home, 'plan.ics')
  writeFileSync(file, planIcs(entries, ways))
  return file
}

describe('khal', () => {
  const khal = (...args: string[]) => run('khal', '-c', join(home, 'khal.conf'), ...args)
  const listed = () =>
    khal('list', '--format', '{start-date} {start-time} {title}', '--day-format', '', first, daysFrom(first, 14)).trim().split('\n')
  beforeEach(() =>
    writeFileSync(
      join(home, 'khal.conf'),
      [
        '[calendars]',
        '[[plan]]',
        `path = ${home}/store`,
        '[locale]',
        `local_timezone = ${zone}`,
        `default_timezone = ${zone}`,
        'timeformat = %H:%M',
        'dateformat = %Y-%m-%d',
        'longdateformat = %Y-%m-%d',
        'datetimeformat = %Y-%m-%d %H:%M',
        'longdatetimeformat = %Y-%m-%d %H:%M',
        '',
      ].join('\n'),
    ),
  )

  it('shows each at its time by the clock of the day, and moves what was moved instead of doubling it', () => {
    khal('import', '--batch', fileOf(before))
    expect(listed()).toEqual(['2026-10-23 18:00 Six, eights; and more', '2026-10-25 09:00 Long Sunday', '2026-10-26 18:00 Nøkken fours'])
    khal('import', '--batch', fileOf(after))
    expect(listed()).toEqual([
      '2026-10-23 18:00 Six, eights; and more',
      '2026-10-25 09:00 Long Sunday',
      '2026-10-27 18:00 Nøkken fours',
      '2026-10-28  Shoes',
    ])
  })

  it('gives out files that are read here, by the same ids', () => {
    khal('import', '--batch', fileOf(after))
    khal('new', '-a', 'plan', '2026-10-29', '07:15', '08:00', 'Ferry, early')
    const stored = run('sh', '-c', `cat ${home}/store/*.ics`)
    const files = stored.split(/(?=BEGIN:VCALENDAR)/)
    const events = files.flatMap(text => {
      const read = readIcs(text, { from: first, to: daysFrom(first, 14), timeZone: zone })
      if (!read.ok) throw new Error(read.problem)
      return read.events
    })
    expect(events.map(({ day, start, title }) => [day, start, title]).sort()).toEqual([
      ['2026-10-23', 1080, 'Six, eights; and more'],
      ['2026-10-25', 540, 'Long Sunday'],
      ['2026-10-27', 1080, 'Nøkken fours'],
      ['2026-10-28', null, 'Shoes'],
      ['2026-10-29', 435, 'Ferry, early'],
    ])
    expect(events.filter(({ uid }) => uid.endsWith('@plan.agonis'))).toHaveLength(4)
  })
})

describe('calcurse', () => {
  const data = () => join(home, 'calcurse')
  const calcurse = (...args: string[]) => run('calcurse', '-D', data(), '-q', ...args)

  it('reads the plan, each at its time, and gives it out to be read here', () => {
    run('mkdir', '-p', data())
    calcurse('-i', fileOf(after))
    const shown = calcurse('-Q', '--from', '10/23/2026', '--to', '11/05/2026')
    for (const words of ['18:00 -> 19:00', 'Six, eights; and more', '09:00 -> 10:00', 'Long Sunday', 'Nøkken fours', 'Shoes'])
      expect(shown).toContain(words)
    const read = readIcs(calcurse('-xical'), { from: first, to: daysFrom(first, 14), timeZone: zone })
    expect(read.ok && read.events.map(({ day, start, title }) => `${day} ${start} ${title}`).sort()).toEqual([
      '2026-10-23 1080 Six, eights; and more',
      '2026-10-25 540 Long Sunday',
      '2026-10-27 1080 Nøkken fours',
      '2026-10-28 null Shoes',
    ])
  })
})
