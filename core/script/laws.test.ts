import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { arbitrarySession } from '../../tests/support/arbitrary-session'
import { checkSession } from '../session/check'
import { limits } from '../session/limits'
import { normalise } from '../session/normalise'
import { validateSession } from '../formats/validate'
import { printSession } from './print'
import { readScript } from './reader/read-script'
import { nobody } from '../athlete/standpoint'

const runs = Number(process.env.LAW_RUNS ?? 10_000)

describe('reading and printing', () => {
  it('reads what it prints back as the same document, over every branch of the schema', () => {
    fc.assert(
      fc.property(arbitrarySession, session => {
        const text = printSession(session)
        const { sessions } = readScript(text, nobody)
        expect(sessions).toHaveLength(1)
        expect(normalise(sessions[0]!)).toEqual(normalise(session))
      }),
      { numRuns: runs },
    )
  }, 300_000)

  it('prints what it reads back as the same text, without a note', () => {
    fc.assert(
      fc.property(arbitrarySession, session => {
        const text = printSession(session)
        const { sessions, remarks } = readScript(text, nobody)
        expect(printSession(sessions[0]!)).toBe(text)
        expect(remarks.filter(remark => remark.level === 'note')).toEqual([])
      }),
      { numRuns: runs / 10 },
    )
  }, 300_000)

  it('generates only documents that the schema and the check accept', () => {
    fc.assert(
      fc.property(arbitrarySession, session => {
        expect(validateSession(session)).toEqual({ ok: true, value: session })
        expect(checkSession(session).filter(problem => problem.code !== 'unread' && problem.code !== 'duration')).toEqual([])
      }),
      { numRuns: runs / 10 },
    )
  }, 300_000)

  const words = fc.constantFrom(
    '6x800m',
    'w/',
    '90"',
    'rest',
    '(',
    ')',
    ',',
    '/',
    '@',
    '4:20',
    '-',
    'easy',
    'jog',
    '5k',
    'effort',
    'until',
    'x',
    '12',
    '%CP',
    '\n',
    '  ',
    'off',
    'on',
    '#',
    '?{',
    '}',
    'zone',
    '1,000',
    '0',
    'sport swim',
    '---',
    '\n  ',
    '\n    ',
    '10 min',
    '400 m',
    '3 x',
    'HR < 150',
    'ceiling 150 bpm',
    'ceiling 999 bpm',
    'title a',
    'place track',
    'place pool 999 m',
    'warm-up',
    '"a"',
    'kick',
    'uphill 4 %',
    'uphill 99 %',
    'or',
    'and',
    'to',
    '+ 5 s',
    'give 5 W harder',
    'over 3 s',
    'over 9999 s',
    'twice',
    '2-3 min',
    '1.5m',
    'prompt a from 1:00 every 2:00',
    'prompt a from 99:00:00 every 0:00',
    'day mon',
    'leg run',
    'RPE 7',
    'RPE 12',
    'zone 9-1',
    'until HR below 5',
    'until HR below 120',
    '99999 kcal',
    '0 W',
    '999999999 m',
    'repeat for 0 km',
    'repeat for 5 km',
    '60:00:00',
    'equal',
    'tempo',
    '6-8 x',
    'max effort',
    '- 200 %',
    'drop last recovery',
    'stop after 0 missed',
  )
  const typed = fc.oneof(
    fc.string({ unit: 'grapheme' }),
    fc.array(words, { maxLength: 30 }).map(parts => parts.join(' ')),
    fc.array(words, { maxLength: 30 }).map(parts => parts.join('')),
  )

  it('never throws, and every remark lies within the text, whatever is typed', () => {
    fc.assert(
      fc.property(typed, text => {
        const lines = text.split(/\r\n|\n|\r/)
        for (const remark of readScript(text, nobody).remarks) {
          expect(remark.line).toBeLessThanOrEqual(lines.length)
          const room = remark.fixes.length > 0 ? lines.slice(remark.line - 1).join('\n') : lines[remark.line - 1]!
          expect(remark.column - 1 + remark.length).toBeLessThanOrEqual(room.length)
        }
      }),
      { numRuns: runs },
    )
  }, 300_000)

  it('makes a document that the schema takes and that prints and reads back the same, whatever is typed', () => {
    fc.assert(
      fc.property(typed, text => {
        for (const session of readScript(text, nobody).sessions) {
          const shown = { ...session, ...(session.title === undefined ? {} : { title: session.title.slice(0, limits.titleLength).trim() }) }
          expect(validateSession(JSON.parse(JSON.stringify(shown)))).toMatchObject({ ok: true })
          const printed = printSession(session)
          const again = readScript(printed, nobody).sessions
          expect(again).toHaveLength(1)
          expect(printSession(again[0]!)).toBe(printed)
        }
      }),
      { numRuns: runs / 4 },
    )
  }, 300_000)
})
