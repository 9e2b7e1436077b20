import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { arbitrarySession } from '../../tests/support/arbitrary-session'
import { checkSession } from '../session/check'
import { normalise } from '../session/normalise'
import { validateSession } from '../formats/validate'
import { printSession } from './print'
import { readScript } from './read'

const runs = Number(process.env.LAW_RUNS ?? 10_000)

describe('reading and printing', () => {
  it('reads what it prints back as the same document, over every branch of the schema', () => {
    fc.assert(fc.property(arbitrarySession, (session) => {
      const text = printSession(session)
      const { sessions } = readScript(text)
      expect(sessions).toHaveLength(1)
      expect(normalise(sessions[0]!)).toEqual(normalise(session))
    }), { numRuns: runs })
  }, 300_000)

  it('prints what it reads back as the same text, without a note', () => {
    fc.assert(fc.property(arbitrarySession, (session) => {
      const text = printSession(session)
      const { sessions, remarks } = readScript(text)
      expect(printSession(sessions[0]!)).toBe(text)
      expect(remarks.filter(remark => remark.level === 'note')).toEqual([])
    }), { numRuns: runs / 10 })
  }, 300_000)

  it('generates only documents that the schema and the check accept', () => {
    fc.assert(fc.property(arbitrarySession, (session) => {
      expect(validateSession(session)).toEqual({ ok: true, value: session })
      expect(checkSession(session).filter(problem => problem.code !== 'unread' && problem.code !== 'duration')).toEqual([])
    }), { numRuns: runs / 10 })
  }, 300_000)

  it('never throws, and every remark lies within the text, whatever is typed', () => {
    const words = fc.constantFrom('6x800m', 'w/', '90"', 'rest', '(', ')', ',', '/', '@', '4:20', '-', 'easy', 'jog', '5k', 'effort', 'until', 'x', '12', '%CP', '\n', '  ', 'off', 'on', '#', '?{', '}', 'zone', '1,000', '0', 'sport swim', '---', '\n  ')
    const text = fc.oneof(fc.string({ unit: 'grapheme' }), fc.array(words, { maxLength: 30 }).map(parts => parts.join(' ')), fc.array(words, { maxLength: 30 }).map(parts => parts.join('')))
    fc.assert(fc.property(text, (typed) => {
      const lines = typed.split(/\r\n|\n|\r/)
      for (const remark of readScript(typed).remarks) {
        expect(remark.line).toBeLessThanOrEqual(lines.length)
        expect(remark.column - 1 + remark.length).toBeLessThanOrEqual(lines[remark.line - 1]!.length)
      }
    }), { numRuns: runs })
  }, 300_000)
})
