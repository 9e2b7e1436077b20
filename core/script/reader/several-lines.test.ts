import { sayRefusal } from '../../words/refusals'
import { describe, expect, it } from 'vitest'
import { apply } from '../../edit/edit'
import { retext } from '../../edit/retext'
import { normalise } from '../../session/normalise'
import { coverText } from './coverage'
import { printSession } from '../print'
import type { ReadResult } from './read-script'
import { withFix } from '../fix'
import { readScript } from './read-script'
import { nobody } from '../../athlete/standpoint'

/** A text with the stretch of a remark replaced by its fix. */
function fixed(text: string, reading: ReadResult, code: string): string {
  const remark = reading.remarks.find(candidate => candidate.code === code && candidate.fixes.length > 0)!
  return withFix(text, remark, remark.fixes.at(-1)!.replacement)
}

describe('what a line says of the repeat above it', () => {
  const text = 'sport run\n\n10 min easy\n6 x 400 m @ 5k effort\n\n90 s rest between  \n2 km easy\n'
  const reading = readScript(text, nobody)

  it('stands between its rounds, and each line is linked to its own rows', () => {
    expect(printSession(reading.sessions[0]!)).toContain('6 times, drop last recovery\n  400 m @ 5k effort\n  rest 1:30\ncool-down 2 km')
    expect(reading.places[0]!.get('2.1')).toMatchObject({ line: 4 })
    expect(reading.places[0]!.get('2.2')).toMatchObject({ line: 6, column: 1, said: '90 s rest between' })
    expect(coverText(text, reading).filter(stretch => stretch.kind === 'left-over')).toEqual([])
  })
  it('is set out in rows together with it, by one fix', () => {
    const rows = fixed(text, reading, 'spelling')
    expect(fixed(text, { ...reading, remarks: reading.remarks.filter(remark => remark.line === 4) }, 'spelling')).toBe(
      text.replace('6 x 400 m @ 5k effort\n\n90 s rest between  ', '6 times, drop last recovery\n  400 m @ 5k effort\n  rest 1:30'),
    )
    expect(normalise(readScript(rows, nobody).sessions[0]!)).toEqual(normalise(reading.sessions[0]!))
  })
  it('goes with it when the repeat is changed, and stays where another row is', () => {
    const [session] = reading.sessions
    const change = (edit: Parameters<typeof apply>[1]) => {
      const result = apply(session!, edit, nobody)
      if (!result.ok) throw new Error(sayRefusal(result.refusal))
      const words = retext(text, reading, result.session, words => readScript(words, nobody))
      expect(normalise(readScript(words, nobody).sessions[0]!).items).toEqual(normalise(result.session).items)
      return words
    }
    expect(change({ do: 'end', at: '2.1', words: '300 m' })).not.toContain('rest between')
    expect(change({ do: 'delete', at: '2' })).not.toContain('rest between')
    expect(change({ do: 'delete', at: '1' })).toContain('6 x 400 m @ 5k effort\n\n90 s rest between')
  })
  it.each([
    ['6 x 400 m\nrest 90 s', 'a rest of its own'],
    ['6 x 400 m / 60 s\n90 s between', 'has its recovery'],
    ['400 m\n90 s between', 'no repeat'],
    ['8 x 50 m free on 1:10\n20 s rest between', 'goes by the clock'],
    ['6 x 400 m\n2 min easy\n90 s between', 'another row between'],
  ])('is no such thing in %j: %s', words => {
    expect(readScript(words, nobody).remarks.filter(remark => remark.code === 'between' && remark.line > 1)).toEqual([])
  })
})

describe('another day over again', () => {
  const text = 'Mon: 5 km easy\nWed: same as Monday\nFri: as Wednesday'
  it("is that day's session, on its own day, said in a note with the rows as fix", () => {
    const { sessions, remarks, places } = readScript(text, nobody)
    expect(sessions.map(session => session.day)).toEqual(['mon', 'wed', 'fri'])
    expect(sessions.map(session => session.items)).toEqual([sessions[0]!.items, sessions[0]!.items, sessions[0]!.items])
    expect(remarks.filter(remark => remark.code === 'same-day').map(({ line, said, readAs }) => [line, said, readAs])).toEqual([
      [2, 'same as Monday', '5 km @ easy effort'],
      [3, 'as Wednesday', '5 km @ easy effort'],
    ])
    expect(places[1]!.get('1')).toMatchObject({ line: 2, said: 'same as Monday' })
  })
  it('is looked for among the days before only, and falls on its day of the week', () => {
    expect(readScript('Mon: same as Wed\nWed: 5 km', nobody).sessions[0]!.items).toEqual([{ kind: 'unread', text: 'same as Wed' }])
    expect(readScript(text, nobody, { week: '2026-03-30' }).sessions.map(session => session.day)).toEqual([
      '2026-03-30',
      '2026-04-01',
      '2026-04-03',
    ])
  })
  it.each([
    ['same as Monday but 4 x', 4],
    ['as Monday, 8 reps', 8],
    ['Same as Mon, only 3 rounds', 3],
    ['like monday with 5x', 5],
  ])('takes another count for its one repeat: %s', (words, times) => {
    const { sessions, remarks } = readScript(`Mon: 10 min easy, 6 x 400 @ 3k w/ 90 s jog, 10 min easy\nThu: ${words}`, nobody)
    expect(sessions[1]!.items[1]).toMatchObject({ repeat: { times }, lastRecovery: 'drop' })
    expect(sessions[0]!.items[1]).toMatchObject({ repeat: { times: 6 } })
    expect(remarks.find(remark => remark.code === 'same-day')).toMatchObject({ line: 2, level: 'note', said: words })
  })
  it.each([
    ['3 x 400, 4 x 200', 'same as Mon but 5x', 0],
    ['5 km easy', 'same as Mon but 5 x', 0],
    ['3 x 400', 'same as Mon but 0 x', 0],
  ])('asks which repeat of "%s" is meant by "%s"', (monday, words, row) => {
    const { sessions, remarks } = readScript(`Mon: ${monday}\nThu: ${words}`, nobody)
    expect(sessions[1]!.items).toMatchObject(structuredClone(sessions[0]!.items))
    expect(sessions[1]!.items[row]).toMatchObject({ doubt: { said: words } })
    expect(remarks.find(remark => remark.code === 'same-day')).toMatchObject({ level: 'ask', said: words })
  })
  it.each([
    'title Cruise\nplace trainer\nceiling 170 bpm\nsport ride\n\n3 times\n  10:00 @ 95 %CP\n  recovery 3:00',
    '3 x 400 m @ 5k w/ 60 s jog',
    'place pool 25 m\nsport swim\n\n8 times\n  50 m free on 1:10',
  ])('set out in rows says all that the day said: %j', monday => {
    const text = `Mon:\n${monday}\nThu: same as Monday`
    const { sessions, remarks } = readScript(text, nobody)
    const { replacement } = remarks.find(remark => remark.code === 'same-day')!.fixes[0]!
    const fixed = readScript(
      text.replace('same as Monday', () => replacement),
      nobody,
    )
    expect(fixed.sessions).toEqual(sessions)
    expect(fixed.remarks.filter(remark => remark.line > 1 + monday.split('\n').length && remark.level !== 'note')).toEqual([])
  })
  it('is a session of its own: what is changed in one stays in the other', () => {
    const { sessions } = readScript(text, nobody)
    expect(sessions[1]!.items[0]).not.toBe(sessions[0]!.items[0])
  })
})
