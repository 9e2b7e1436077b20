import { sayRefusal } from '../words/refusals'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { arbitrarySession } from '../../tests/support/arbitrary-session'
import { loadCorpus } from '../../tests/corpus/corpus'
import { printSession } from '../script/print'
import { readScript } from '../script/reader/read-script'
import type { Item, Session } from '../session/document'
import { normalise } from '../session/normalise'
import type { Edit } from './edit'
import { apply } from './edit'
import { itemAt } from '../session/item-path'
import { changeBetween, retext } from './retext'
import { nobody } from '../athlete/standpoint'

const runs = Number(process.env.LAW_RUNS ?? 2000) / 4
const text = `title Quay ladder
sport run

warm-up until press
3 times, drop last recovery
  400 m @ 5k effort  # tall
  recovery 1:30 jog
recovery 3:00
4 x 5 min @ 10k pace / 90 s jog

cool-down 12:00
`

const again = (text: string) => readScript(text, nobody)

/** The text after an edit of its document. */
function edited(script: string, edit: Edit): string {
  const reading = readScript(script, nobody)
  const result = apply(reading.sessions[0]!, edit, nobody)
  if (!result.ok) throw new Error(sayRefusal(result.refusal))
  return retext(script, reading, result.session, again)
}

const rowsOf = (script: string) => script.split('\n').slice(3).join('\n').trimEnd()

describe('edits of a session as edits of its text', () => {
  it.each<[string, Edit, string, string]>([
    [
      'insert a row',
      { do: 'insert', at: '3', where: 'after', words: '2:00 @ 10k effort' },
      'recovery 3:00\n4 x',
      'recovery 3:00\n2:00 @ 10k effort\n4 x',
    ],
    [
      'insert into a repeat',
      { do: 'insert', at: '2', where: 'inside', words: 'rest 0:20' },
      '  recovery 1:30 jog\n',
      '  recovery 1:30 jog\n  rest 0:20\n',
    ],
    [
      'duplicate a repeat with its note',
      { do: 'duplicate', at: '2.1' },
      '  400 m @ 5k effort  # tall\n',
      '  400 m @ 5k effort  # tall\n  400 m @ 5k effort  # tall\n',
    ],
    ['remove a row', { do: 'delete', at: '3' }, 'recovery 3:00\n', ''],
    ['split a time', { do: 'split', at: '3' }, 'recovery 3:00\n', 'recovery 2:00\nrecovery 1:00\n'],
    ['change a count', { do: 'repeat', at: '2', repeat: { times: 5 } }, '3 times, drop', '5 times, drop'],
    ['keep the last recovery', { do: 'drop-last', at: '2' }, '3 times, drop last recovery', '3 times'],
    ['switch a set off', { do: 'off', at: '2' }, '3 times,', 'off 3 times,'],
    ['change a length in place', { do: 'end', at: '3', words: '400 m' }, 'recovery 3:00', 'recovery 400 m'],
    ['change how long a repeat goes', { do: 'end', at: '2', words: 'repeat for 5 km' }, '3 times, drop last recovery', 'repeat for 5 km'],
    [
      'change a target in place',
      { do: 'target', at: '2.1', words: '4:05 /km and 180 spm' },
      '@ 5k effort  # tall',
      '@ 4:05 /km and 180 spm  # tall',
    ],
    ['take a target away', { do: 'target', at: '2.1', words: '' }, ' @ 5k effort  # tall', '  # tall'],
    [
      'copy a set harder',
      { do: 'harder', at: '2', shift: { by: 3, unit: '%' } },
      'recovery 3:00\n',
      '3 times, drop last recovery\n  400 m @ 5k effort + 3 %  # tall\n  recovery 1:30 jog\nrecovery 3:00\n',
    ],
    [
      'copy a set easier by seconds',
      { do: 'harder', at: '2', shift: { by: -5, unit: 's/km' } },
      'recovery 3:00\n',
      '3 times, drop last recovery\n  400 m @ 5k effort + 5 s/km  # tall\n  recovery 1:30 jog\nrecovery 3:00\n',
    ],
    [
      'wrap rows',
      { do: 'wrap', from: '2', to: '3', times: 2 },
      '3 times, drop last recovery\n  400 m @ 5k effort  # tall\n  recovery 1:30 jog\nrecovery 3:00\n',
      '2 times\n  3 times, drop last recovery\n    400 m @ 5k effort  # tall\n    recovery 1:30 jog\n  recovery 3:00\n',
    ],
    [
      'unwrap a repeat',
      { do: 'ungroup', at: '2' },
      '3 times, drop last recovery\n  400 m @ 5k effort  # tall\n  recovery 1:30 jog\n',
      '400 m @ 5k effort  # tall\nrecovery 1:30 jog\n',
    ],
    [
      'set a shorthand line out when one of its rows changes',
      { do: 'end', at: '4.1', words: '6:00' },
      '4 x 5 min @ 10k pace / 90 s jog\n\n',
      '4 times, drop last recovery\n  6:00 @ 10k effort\n  recovery 1:30 jog\n',
    ],
  ])('%s', (_, edit, before, after) => {
    expect(edited(text, edit)).toBe(text.replace(before, after))
  })

  it('moves a set, the blank line staying where it parts the text', () => {
    const moved = edited(text, { do: 'move', at: '2', to: '4', where: 'after' })
    expect(rowsOf(moved)).toBe(
      'warm-up until press\nrecovery 3:00\n4 x 5 min @ 10k pace / 90 s jog\n\n3 times, drop last recovery\n ' +
        ' 400 m @ 5k effort  # tall\n  recovery 1:30 jog\ncool-down 12:00',
    )
    expect(rowsOf(edited(text, { do: 'move', at: '3', to: '2.1', where: 'before' }))).toContain(
      '3 times, drop last recovery\n  recovery 3:00\n  400 m',
    )
  })

  it('lets a repeat go with its last row', () => {
    const one = 'sport run\n\n2 times\n  1:00\n2:00\n'
    expect(edited(one, { do: 'move', at: '1.1', to: '2', where: 'after' })).toBe('sport run\n\n2:00\n1:00\n')
    expect(edited(one, { do: 'delete', at: '1.1' })).toBe('sport run\n\n2:00\n')
  })

  it.each<[Edit, RegExp]>([
    [{ do: 'move', at: '2', to: '2.1', where: 'before' }, /into itself/],
    [{ do: 'split', at: '1' }, /can be split/],
    [{ do: 'repeat', at: '2', repeat: { times: 1000 } }, /1 to 999/],
    [{ do: 'end', at: '3', words: 'soon' }, /not a length/],
    [{ do: 'target', at: '3', words: 'fast-ish 12' }, /not a target/],
    [{ do: 'harder', at: '3', shift: { by: 3, unit: '%' } }, /Nothing here/],
    [{ do: 'delete', at: '9' }, /no row 9/],
    [{ do: 'ungroup', at: '3' }, /Only a repeat/],
    [{ do: 'insert', at: '1', where: 'inside', words: '1:00' }, /inside a repeat/],
  ])('says why %o does not fit', (edit, why) => {
    const result = apply(readScript(text, nobody).sessions[0]!, edit, nobody)
    expect(result).toMatchObject({ ok: false })
    expect(!result.ok && sayRefusal(result.refusal)).toMatch(why)
  })
})

function pathsOf(items: readonly Item[], prefix = ''): string[] {
  return items.flatMap((item, index) => [
    `${prefix}${index + 1}`,
    ...(item.kind === 'block' || item.kind === 'leg' ? pathsOf(item.items, `${prefix}${index + 1}.`) : []),
  ])
}
const choose = (session: Session, seed: number) => {
  const paths = pathsOf(session.items)
  return paths[seed % paths.length]
}
const same = (one: Session, other: Session) => expect(normalise(one)).toEqual(normalise(other))
const done = (session: Session, edit: Edit): Session | null => {
  const result = apply(session, edit, nobody)
  return result.ok ? result.session : null
}

describe('the laws of edits', () => {
  const messages = fc.constantFrom(...loadCorpus().filter(({ file }) => file !== 'weeks'))

  it('undo one another', () => {
    fc.assert(
      fc.property(arbitrarySession, fc.nat(), (session, seed) => {
        const at = choose(session, seed)
        if (!at) return
        const [parent, position] = [at.includes('.') ? `${at.slice(0, at.lastIndexOf('.'))}.` : '', Number(at.split('.').at(-1))]
        const next = `${parent}${position + 1}`
        same(done(done(session, { do: 'duplicate', at })!, { do: 'delete', at: next })!, session)
        const wrapped = done(session, { do: 'wrap', from: at, to: at, times: 2 })
        if (wrapped) same(done(wrapped, { do: 'ungroup', at })!, session)
        const off = done(session, { do: 'off', at })
        if (off) same(done(off, { do: 'off', at })!, session)
        if (itemAt(session, next)) {
          const moved = done(session, { do: 'move', at, to: next, where: 'after' })
          if (moved) same(done(moved, { do: 'move', at: next, to: at, where: 'before' })!, session)
        }
      }),
      { numRuns: runs },
    )
  }, 120_000)

  it('leave the text as it was where nothing is changed, and read back as the document where something is', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          arbitrarySession.map(printSession),
          messages.map(({ said }) => said),
        ),
        fc.nat(),
        fc.constantFrom('duplicate', 'remove', 'off', 'wrap', 'split', 'drop-last'),
        (script, seed, what) => {
          const reading = readScript(script, nobody)
          if (reading.sessions.length !== 1) return
          const session = reading.sessions[0]!
          expect(retext(script, reading, session, again)).toBe(script)
          const at = choose(session, seed)
          const edit = at && ((what === 'wrap' ? { do: what, from: at, to: at, times: 3 } : { do: what, at }) as Edit)
          const result = edit ? apply(session, edit, nobody) : null
          if (!result?.ok || script.includes('leg ') || !/^sport /m.test(script)) return
          const meant = readScript(retext(script, reading, result.session, again), nobody).sessions[0]!
          expect(normalise(meant).items).toEqual(normalise(result.session).items)
        },
      ),
      { numRuns: runs },
    )
  }, 120_000)

  it('change the text in one stretch', () => {
    fc.assert(
      fc.property(fc.string(), fc.string(), (before, after) => {
        const { from, to, insert } = changeBetween(before, after)
        expect(before.slice(0, from) + insert + before.slice(to)).toBe(after)
      }),
      { numRuns: runs },
    )
  })
})
