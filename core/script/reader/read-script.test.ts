import { describe, expect, it } from 'vitest'
import { validateSession } from '../../formats/validate'
import type { Block, Step } from '../../session/document'
import { limits } from '../../session/limits'
import { printSession, printSessions } from '../print'
import { readScript } from './read-script'
import { nobody } from '../../athlete/standpoint'

const read = (text: string, options = {}) => readScript(text, nobody, options)
const one = (text: string, options = {}) => read(text, options).sessions[0]!

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
