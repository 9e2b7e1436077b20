import { describe, expect, it } from 'vitest'
import { validateSession } from '../../formats/validate'
import type { Block, Step } from '../../session/document'
import { limits } from '../../session/limits'
import { printSession, printSessions } from '../print'
import { withFix } from '../fix'
import { readScript } from './read-script'
import type { Remark } from '../remark'
import { nobody } from '../../athlete/standpoint'

const read = (text: string, options = {}) => readScript(text, nobody, options)
const one = (text: string, options = {}) => read(text, options).sessions[0]!
const asked = (remarks: Remark[]) => remarks.filter(remark => remark.level !== 'note')

const ladder = `title Quay ladder
sport run
place track, lane 2
day 2026-03-31
ceiling 172 bpm
prompt drink from 40:00 every 20:00

warm-up until press
3 times, drop last recovery
  400 m @ 5k effort
  recovery 1:30 jog
recovery 3:00
repeat for 5 km
  4:00 @ 10k effort + 8 s/km
  recovery 1:30
10:00 @ 65-70 to 85-90 %CP and 85-95 rpm  # sit tall
8:00 or 2 km @ 4:05 /km
off 4 times
  0:30 uphill 5-6 % @ RPE 8
  recovery until HR below 120 walk
6 times, stop after 2 missed
  100 m on 1:45 back kick fins
cool-down 12:00 @ 65-75 %CP
`

describe('canonical script', () => {
  it('reads the whole form without a remark and prints it to the letter', () => {
    const { sessions, remarks } = read(ladder)
    expect(remarks).toEqual([])
    expect(printSession(sessions[0]!)).toBe(ladder)
  })

  it('means what it says', () => {
    const { items, ...head } = one(ladder)
    expect(head).toEqual({
      format: 'agonis.session',
      version: 1,
      title: 'Quay ladder',
      sport: 'run',
      place: { kind: 'track', lane: 2 },
      day: '2026-03-31',
      ceiling: { of: 'heart-rate', above: 172 },
      prompts: [{ say: 'drink', from: 2400, every: 1200 }],
    })
    expect(items[0]).toEqual({ kind: 'step', role: 'warm-up', end: { on: 'press' } })
    expect(items[1]).toEqual({
      kind: 'block',
      repeat: { times: 3 },
      lastRecovery: 'drop',
      items: [
        { kind: 'step', role: 'work', end: { on: 'distance', value: 400, unit: 'm' }, target: { of: 'effort', name: '5k' } },
        { kind: 'step', role: 'recovery', end: { on: 'time', seconds: 90 }, manner: 'jog' },
      ],
    })
    expect(items[4]).toEqual({
      kind: 'step',
      role: 'work',
      end: { on: 'time', seconds: 600 },
      note: 'sit tall',
      target: { of: 'power', unit: '%CP', easiest: 65, hardest: 70, to: { of: 'power', unit: '%CP', easiest: 85, hardest: 90 } },
      also: { of: 'cadence', unit: 'rpm', easiest: 85, hardest: 95 },
    })
    expect(items[5]).toMatchObject({
      end: {
        on: 'first',
        of: [
          { on: 'time', seconds: 480 },
          { on: 'distance', value: 2, unit: 'km' },
        ],
      },
    })
    expect((items[7] as Block).items[0]).toEqual({
      kind: 'step',
      role: 'work',
      end: { on: 'send-off', value: 100, unit: 'm', seconds: 105 },
      swim: { stroke: 'back', mode: 'kick', kit: ['fins'] },
    })
    expect((items[6] as Block).off).toBe(true)
  })

  it.each([
    'place pool 25 m',
    'place pool 33.3 yd',
    'place open-water',
    'day mon',
    'ceiling 85 %HRmax',
    'prompt drink from 40:00 every 20:00, 9 times',
    'prompt take a gel from here from 10:00 every 1:00:00',
  ])('keeps the header %s', header => {
    const text = `sport run\n${header}\n\n10:00\n`
    expect(read(text).remarks).toEqual([])
    expect(printSession(one(text))).toBe(text)
  })

  it.each([
    '4:05 /km',
    '6:52-7:04 /mi',
    '1:45 /100m',
    '30-32 km/h',
    '140-150 bpm',
    '150 bpm or below',
    '95-105 %CP',
    'zone 4 heart rate',
    'zone 2-3 power',
    'zone 2 of 3 power',
    'zone 2 of own power',
    '85-95 rpm',
    'RPE 6-7',
    '5k effort - 2 %',
    '4:05 /km or slower',
    '200 W or above',
    '4:30 to 4:10 /km',
    'easy effort to 10k effort + 5 s/km',
    'zone 2 heart rate to zone 4 heart rate',
    'RPE 3-4 to 6-7',
    '250 W over 10 s give 5 W harder, 2 W easier',
    '4:05 /km over 30 s',
    '200 W and 85-95 rpm over 5 s',
    '90 %HRR',
    'also 85-95 rpm',
  ])('keeps the target %s', target => {
    const text = `sport run\n\n10:00 @ ${target}\n`
    expect(read(text).remarks).toEqual([])
    expect(printSession(one(text))).toBe(text)
  })

  it.each([
    '400 m in 1:32 @ 180 spm',
    '400 m in 1:30-1:34 over 5 s',
    '300 kcal',
    '10:00 grade -2 to 4 %',
    '10:00 downhill 4 %',
    '100 m "catch-up"',
    '100 m free drill "one arm" fins paddles',
    '10:00 ceiling 160 bpm ?{10m}',
    'transition until press',
    '10:00 or until press',
    '10:00 or (1 km or until HR above 170)',
    'off recovery 2:00 walk',
    'unread how about a jog?',
    '0:30 stride',
  ])('keeps the row %s', row => {
    const text = `sport run\n\n${row}\n`
    expect(printSession(one(text))).toBe(text)
  })

  it('keeps notes of several lines, on a row, on a block and on the session', () => {
    const text = 'sport run\n# first\n#\n# third\n\n10:00  # one\n# two\n2 times  # outer\n# more\n  1:00  #\n  # inner\n'
    expect(one(text).note).toBe('first\n\nthird')
    expect((one(text).items[1] as Block).note).toBe('outer\nmore')
    expect(printSession(one(text))).toBe(text)
    expect(read(text).remarks).toEqual([])
  })

  it('makes no note of a bare #', () => {
    const document = one('sport run\n#\n\n10:00  #\n2 times  #\n  1:00\n')
    expect(JSON.stringify(document)).not.toContain('note')
    expect(validateSession(document).ok).toBe(true)
    expect(one('#')).not.toHaveProperty('note')
  })

  it('parts several sessions by ---', () => {
    const text = `${ladder}---\nsport swim\n\n100 m\n`
    expect(read(text).sessions).toHaveLength(2)
    expect(printSessions(read(text).sessions)).toBe(text)
  })

  it('keeps legs with their places', () => {
    const text =
      'sport multi\n\nleg swim, place pool 25 m\n  100 m\ntransition until press\nleg ride, place trainer\n  2 times\n    10:00 @ 200 W\n'
    expect(read(text).remarks).toEqual([])
    expect(printSession(one(text))).toBe(text)
  })
})

describe('roles that the surroundings decide', () => {
  const roles = (text: string) => one(text).items.map(item => (item.kind === 'step' ? item.role : item.kind))
  it('across lines: first a warm-up, last a cool-down, between a recovery', () => {
    expect(roles('10 min easy\n5 km @ 4:30 /km\n3 min jog\n5 km @ 4:30 /km\n10 min easy')).toEqual([
      'warm-up',
      'work',
      'recovery',
      'work',
      'cool-down',
    ])
  })
  it('alone it is the work', () => {
    expect(one('40 min easy').items).toEqual([
      { kind: 'step', role: 'work', end: { on: 'time', seconds: 2400 }, target: { of: 'effort', name: 'easy' } },
    ])
  })
  it('in a repeat it is a recovery', () => {
    expect((one('3 x (2 min @ 4:00 /km, 1 min easy)').items[0] as Block).items.map(item => (item as Step).role)).toEqual([
      'work',
      'recovery',
    ])
  })
  it('a canonical row with a manner stays the work it says', () => {
    expect(roles('sport run\n\n10:00 walk\n20:00 @ 4:30 /km\n')).toEqual(['work', 'work'])
  })
})

describe('what sport it is', () => {
  it.each([
    ['100 free, 50 back', 'swim'],
    ['8 x 100 on 1:45', 'swim'],
    ['20 min @ 90 rpm', 'ride'],
    ['20 min on the trainer', 'ride'],
    ['20 min @ 250 W', 'ride'],
    ['4x6min @ 4:20-4:26 w 90s float', 'run'],
    ['3 x 10 min', 'run'],
  ])('"%s" is a %s', (text, sport) => expect(one(text).sport).toBe(sport))

  it('goes by a sport line before the option, and by the option before a guess', () => {
    expect(one('sport ride\n\n20:00', { sport: 'swim' }).sport).toBe('ride')
    expect(one('20 min @ 250 W', { sport: 'run' }).sport).toBe('run')
    expect(read('3 x 10 min').remarks.find(remark => remark.code === 'sport')).toMatchObject({ level: 'note', readAs: 'sport run' })
  })
})

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

describe('rows that were read before', () => {
  it('end the headers as they did the first time', () => {
    const text = 'sport run\n\n1:00 @ 4:21 /km\ntitle Late\n'
    const first = read(text)
    expect(first.sessions[0]!.title).toBeUndefined()
    expect(read(text)).toEqual(first)
  })
  it('are told apart by where their own words begin', () => {
    expect(one('Tues: 2:07 jog').items[0]).toMatchObject({ role: 'work' })
    const [outer] = one('sport run\n\n2 times\n  2 times\n    2 times\n      1:00\n      2:07 jog\n').items
    expect(outer).toMatchObject({ items: [{ items: [{ items: [{}, { role: 'work', manner: 'jog' }] }] }] })
  })
})

describe('limits', () => {
  it('refuse text over 1 MB without reading it', () => {
    const { sessions, remarks } = read('a'.repeat(limits.textBytes + 1))
    expect(sessions).toEqual([])
    expect(remarks[0]).toMatchObject({ level: 'error', code: 'too-long' })
    expect(read(`# ${'ø'.repeat(limits.textBytes / 2)}`).remarks[0]!.code).toBe('too-long')
  })
  it.each([
    ['100 times\n  100 times\n    1:00', 'steps'],
    [`${Array.from({ length: 30 }, (_, depth) => `${'  '.repeat(depth)}2 times`).join('\n')}\n${'  '.repeat(30)}1:00`, 'nesting'],
    ['100 times\n  59:00', 'duration'],
    [`title ${'a'.repeat(121)}\n1:00`, 'title'],
  ])('are told as an error', (text, code) => {
    expect(
      read(`sport run\n${text.startsWith('title') ? '' : '\n'}${text}\n`).remarks.map(remark => [remark.level, remark.code]),
    ).toContainEqual(['error', code])
  })
  it('stop the reading of rows past the steps of a session; each such line stands unread with its reason', () => {
    const { sessions, remarks } = read(`sport run\n\n${'6 x 100 m\n'.repeat(900)}`)
    const items = sessions[0]!.items
    expect(items).toHaveLength(900)
    expect(items.findIndex(item => item.kind === 'unread')).toBe(834)
    expect(remarks.filter(remark => remark.code === 'past-limit').map(remark => remark.line)).toEqual(
      Array.from({ length: 66 }, (_, index) => 837 + index),
    )
    expect(remarks.some(remark => remark.code === 'steps')).toBe(true)
  })
  it('count rows that were read before like others', () => {
    const items = read(`sport run\n\n${'1:00 @ 4:20 /km\n'.repeat(limits.flatSteps + 30)}`).sessions[0]!.items
    expect(items.findIndex(item => item.kind === 'unread')).toBe(limits.flatSteps + 1)
  })
  it('hold against brackets, ladders and repeats without end', () => {
    for (const text of ['('.repeat(50_000), '1-'.repeat(50_000), '2 x '.repeat(20_000), '10 or '.repeat(5_000), 'a, '.repeat(50_000)]) {
      const start = performance.now()
      expect(read(text).sessions).toHaveLength(1)
      expect(performance.now() - start).toBeLessThan(5000)
    }
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
