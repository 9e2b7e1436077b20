import { describe, expect, it } from 'vitest'
import { printSession } from '../print'
import { withFix } from '../fix'
import { readScript } from './read-script'
import type { Remark } from '../remark'
import { nobody } from '../../athlete/standpoint'

const read = (text: string, options = {}) => readScript(text, nobody, options)
const one = (text: string, options = {}) => read(text, options).sessions[0]!
const asked = (remarks: Remark[]) => remarks.filter(remark => remark.level !== 'note')

describe('remarks', () => {
  it.each([
    ['place track lane 2', 'place track, lane 2'],
    ['place: Track in lane 2', 'place track, lane 2'],
    ['Place 25yd pool', 'place pool 25 yd'],
    ['place: trail', 'place trail'],
  ])('offer the place as it is kept: %s', (words, kept) => {
    const { sessions, remarks } = read(`sport run\n${words}\n\n400 m\n`)
    expect(remarks.filter(remark => remark.line === 2)).toMatchObject([
      { level: 'note', code: 'spelling', column: 1, length: words.length, readAs: kept, fixes: [{ replacement: kept }] },
    ])
    expect(printSession(sessions[0]!)).toContain(`\n${kept}\n`)
  })
  it('go by the pool of a place however it is said', () => {
    expect(one('sport swim\nplace 25 yd pool\n\n8 lengths').items).toMatchObject([{ end: { value: 200, unit: 'yd' } }])
  })
  it('stand where the words stand, in UTF-16 columns', () => {
    const text = 'sport run\n\n🏃 5m easy'
    for (const remark of read(text).remarks) {
      const line = text.split('\n')[remark.line - 1]!
      expect(line.slice(remark.column - 1, remark.column - 1 + remark.length)).toBe(remark.said)
    }
    const [doubt] = read('10 min easy, 5m').remarks.filter(remark => remark.code === 'unit-doubtful')
    expect(doubt).toMatchObject({ line: 1, column: 14, length: 2, said: '5m', readAs: '5:00', level: 'ask' })
    expect(doubt!.fixes.map(fix => fix.replacement)).toEqual(['5:00', '5 m'])
  })

  it('offer the row as it was read, and taking that leaves no note', () => {
    const text = '6x800m w/ 90" rest'
    const spelling = read(text).remarks.find(remark => remark.code === 'spelling')!
    expect(spelling.fixes[0]!.label).toBe('set out in rows')
    const fixed = `sport run\n\n${spelling.fixes[0]!.replacement}\n`
    expect(read(fixed).remarks).toEqual([])
    expect(one(fixed).items).toEqual(one(text).items)
  })

  it('go on asking about a doubt that was set out in rows', () => {
    const { sessions, remarks } = read('sport run\n\n5:00 ?{5m}\n')
    expect(sessions[0]!.items[0]).toMatchObject({ doubt: { said: '5m', others: ['5 m'] } })
    expect(asked(remarks).map(remark => remark.code)).toEqual(['doubt-open'])
  })

  it.each([
    ['400 h easy', 'longer than 48 h'],
    ['0 min easy', 'more than zero'],
    ['-5 min easy', 'more than zero'],
    ['1000 x 1 min', '1 to 999 times'],
    ['0 x 1 min', '1 to 999 times'],
    ['10 min until', 'until what?'],
    ['3 x (1 min', 'a bracket is not closed'],
    ['10 min @ sideways 3', 'the target after @'],
  ])('say why "%s" cannot be read', (text, why) => {
    const [error] = asked(read(text).remarks)
    expect(error).toMatchObject({ level: 'error', line: 1 })
    expect(error!.readAs).toContain(why)
    expect(one(text).items).toEqual([{ kind: 'unread', text }])
  })

  it('say that brackets stand too deep', () => {
    expect(asked(read(`${'('.repeat(12)}1 min${')'.repeat(12)}`).remarks).at(0)!.readAs).toContain('brackets stand more than 6 deep')
  })

  it.each([
    ['sport paddling', 'a sport is'],
    ['place moon', 'a place is'],
    ['day 2026-02-30', 'a day is'],
    ['prompt drink', 'a prompt reads'],
    ['ceiling high', 'a ceiling reads'],
  ])('say what header "%s" should be', (line, why) => {
    const { sessions, remarks } = read(`${line}\n\n10:00\n`)
    expect(remarks.find(remark => remark.level === 'error')).toMatchObject({ line: 1 })
    expect(remarks.find(remark => remark.level === 'error')!.readAs).toContain(why)
    expect(sessions[0]!.items[0]).toEqual({ kind: 'unread', text: line })
  })

  it('say that a repeat needs rows', () => {
    expect(asked(read('sport run\n\n3 times\n10:00\n').remarks)[0]).toMatchObject({ line: 3, code: 'empty-block' })
  })

  it("keep talk as the session's note", () => {
    const { sessions, remarks } = read('Good morning Ilse!\n10 min easy, 20 min @ 4:50 /km\nsee you at the quay')
    expect(sessions[0]!.note).toBe('Good morning Ilse!\nsee you at the quay')
    expect(sessions[0]!.items).toHaveLength(2)
    expect(asked(remarks)).toEqual([])
  })

  it('offer no recovery after the last where it stands between the steps of a round too', () => {
    const between = (text: string) => read(text).remarks.find(remark => remark.code === 'between')!.fixes.length
    expect([between('3 x (400, 200) w/ 2 min jog'), between('3 x 400 w/ 2 min jog')]).toEqual([0, 1])
  })

  it("take a cap on a line of its own as the session's ceiling", () => {
    expect(one('HR < 145\n10 min easy, 20 min @ 5:30 /km').ceiling).toEqual({ of: 'heart-rate', above: 145 })
  })
})

describe('fixes by one key', () => {
  it('settle a doubt that stands in a row, as it is or the other way, and leave the note', () => {
    const text = '  recovery 5:00 jog ?{5m}  # along the quay'
    const doubted = `sport run\n\n2 times ?{2-3 x}  # set\n${text}\n`
    const remarks = read(doubted).remarks.filter(remark => remark.code === 'doubt-open')
    const taken = remarks.map(remark =>
      remark.fixes.map(fix => {
        return withFix(doubted, remark, fix.replacement).split('\n')[remark.line - 1]
      }),
    )
    expect(taken).toEqual([['2 times  # set'], ['  recovery 5:00 jog  # along the quay', '  recovery 5 m jog  # along the quay']])
  })

  const fixesOf = (text: string, code: string) => read(text).remarks.find(remark => remark.code === code)!
  const take = (text: string, code: string, label: string) => {
    const remark = fixesOf(text, code)
    const fix = remark.fixes.find(candidate => candidate.label === label)!
    return withFix(text, remark, fix.replacement)
  }
  const rows = (text: string) => printSession(one(text)).replace(/^[\s\S]*?\n\n/, '')

  it.each([
    ['6x800m w/ 90" rest', '6 times\n  800 m\n  rest 1:30\n'],
    ['10 min easy, 5 x 600 (200 jog), 5 min easy', 'warm-up 10:00\n5 times\n  600 m\n  recovery 200 m jog\ncool-down 5:00\n'],
    ['2 x (4 x (90 s, 1 min easy)) / 4 min easy', '2 times\n  4 times\n    1:30\n    recovery 1:00\n  recovery 4:00\n'],
  ])('keep the last recovery of "%s"', (text, expected) => expect(rows(take(text, 'between', 'after the last too'))).toBe(expected))

  it('answer a recovery after a comma either way', () => {
    const text = '10 min WU, 3x9min 6:52-7:04/mi, 4min jog, 10 min CD'
    expect(one(text).items[1]).toMatchObject({ items: [{}, { role: 'recovery', doubt: { said: '4min jog' } }] })
    const every = take(text, 'comma-recovery', 'in every round')
    expect(rows(every)).toBe('warm-up 10:00\n3 times\n  9:00 @ 6:52-7:04 /mi\n  recovery 4:00 jog\ncool-down 10:00\n')
    expect(asked(read(every).remarks)).toEqual([])
    const between = take(text, 'comma-recovery', 'only between')
    expect(rows(between)).toContain('3 times, drop last recovery\n')
    expect(asked(read(between).remarks)).toEqual([])
  })

  it('answer a bare time after a repeat in each of its three ways', () => {
    const text = '10 min easy, 6 x 1k @ 10k, 90 s, 10 min easy'
    const repeat = (fix: string) => {
      const words = take(text, 'comma-recovery', fix)
      expect(asked(read(words).remarks)).toEqual([])
      return rows(words).replace(/^warm-up 10:00\n|cool-down 10:00\n$/g, '')
    }
    expect(repeat('in every round')).toBe('6 times\n  1 km @ 10k effort\n  recovery 1:30\n')
    expect(repeat('only between')).toBe('6 times, drop last recovery\n  1 km @ 10k effort\n  recovery 1:30\n')
    expect(repeat('a step of its own')).toBe('6 times\n  1 km @ 10k effort\n1:30\n')
  })

  it('answer a bare time after a set as recovery or as work', () => {
    const text = '2 x (4 x 400 / 1 min, 3 min)'
    const set = '2 times\n  4 times, drop last recovery\n    400 m\n    recovery 1:00\n'
    const [recovery, work] = ['recovery', 'work'].map(fix => take(text, 'set-recovery', fix))
    expect([rows(recovery!), rows(work!)]).toEqual([`${set}  recovery 3:00\n`, `${set}  3:00\n`])
    expect([...asked(read(recovery!).remarks), ...asked(read(work!).remarks)]).toEqual([])
  })

  it('answer a range of counts, and until then the repeat is in doubt', () => {
    expect(one('6-8 x 200 m').items[0]).toMatchObject({ repeat: { times: 6 }, doubt: { said: '6-8 x', others: ['8 times'] } })
    expect(rows(take('6-8 x 200 m', 'count-range', '8 times'))).toBe('8 times\n  200 m\n')
  })
})

describe('a warm-up said behind the work', () => {
  const said = '5 x 1 km @ 10k w/ 2 min jog, 10 min warm-up'
  const rolesOf = (text: string) => one(text).items.map(item => (item.kind === 'step' ? item.role : item.kind))

  it('comes first, and is asked about', () => {
    expect(rolesOf(said)).toEqual(['warm-up', 'block'])
    expect(asked(read(said).remarks).map(({ code }) => code)).toEqual(['order'])
  })

  it.each([
    ['first', ['warm-up', 'block']],
    ['here', ['block', 'warm-up']],
  ])('is settled by one key: %s', (label, roles) => {
    const [remark] = asked(read(said).remarks)
    const fixed = withFix(said, remark!, remark!.fixes.find(fix => fix.label === label)!.replacement)
    expect(rolesOf(fixed)).toEqual(roles)
    expect(asked(read(fixed).remarks)).toEqual([])
  })
})
