import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { nobody } from '../../athlete/standpoint'
import { accountForLines, restDaysOf } from './account'
import { readScript } from './read-script'

const week = [
  'Hi all, next week:',
  'Mon: rest',
  'Tue: 2 km easy, 6 x 800 @ 5k / 90 s jog, 2 km easy',
  'Wed: swim, plan will follow',
  '',
  'Thu',
  '45 min easy, keep it calm',
  'bring the light shoes',
  'Fri: see you at the boathouse',
  'Sun: 5 km @ sideways',
]
const account = (text: string) => accountForLines(text, readScript(text, nobody))

describe('every line of a message is accounted for', () => {
  it('as a session, a rest day, a heading, a note of its session, unread, or not kept', () => {
    expect(account(week.join('\n')).map(({ line, outcome }) => [line, outcome])).toEqual([
      [1, 'note'],
      [2, 'rest-day'],
      [3, 'session'],
      [4, 'not-kept'],
      [6, 'heading'],
      [7, 'session'],
      [8, 'note'],
      [9, 'not-kept'],
      [10, 'unread'],
    ])
  })
  it('without the stamps and signs that stand around its words', () => {
    const chat = '[18:02] Coach: Hi there \u{1F44B}\n[18:03] Coach: *Tue*\n[18:03] Coach: 45 min easy\n[18:04] Coach: '
    expect(account(chat).map(({ outcome, leftOver }) => [outcome, leftOver])).toEqual([
      ['note', ['Hi there']],
      ['heading', []],
      ['session', []],
      ['signs', []],
    ])
  })
  it('with the session that holds it', () => {
    const { sessions } = readScript(week.join('\n'), nobody)
    const dayOf = (line: number) => sessions[account(week.join('\n')).find(one => one.line === line)!.session!]?.day
    expect([1, 3, 7, 8, 10].map(dayOf)).toEqual(['tue', 'tue', 'thu', 'thu', 'sun'])
    expect(sessions[1]).toMatchObject({ day: 'wed', items: [] })
  })
  it('once and in order, whatever the lines are', () => {
    fc.assert(
      fc.property(fc.array(fc.oneof(fc.constantFrom(...week), fc.string({ maxLength: 30 })), { maxLength: 14 }), lines => {
        const text = lines.join('\n')
        const wanted = text.split(/\r\n|\n|\r/).flatMap((words, index) => (words.trim() === '' ? [] : [[index + 1, words.trim()]]))
        expect(account(text).map(one => [one.line, one.text])).toEqual(wanted)
      }),
    )
  })
})

describe('days that a message says are without a session', () => {
  it.each([
    ['Mon: rest\nTue: 6 x 800 / 90 s jog\nWed: rest day\nThu off', ['2026-11-30', '2026-12-02', '2026-12-03']],
    ['Mon 30 Nov\nrest day\n\nTue 1 Dec\n10:00 easy', ['2026-11-30']],
    ['6 x 800 / 90 s rest', []],
    ['rest', []],
  ])('%j', (text, days) => expect(restDaysOf(readScript(text, nobody, { week: '2026-11-30' }))).toEqual(days))
})
