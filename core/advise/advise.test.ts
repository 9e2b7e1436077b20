import { sayRefusal } from '../words/refusals'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ilse } from '../../demo/athlete'
import { arbitrarySession } from '../../tests/support/arbitrary-session'
import { unknownAthlete } from '../athlete/athlete'
import { apply } from '../edit/edit'
import { reckon } from '../reckon/reckon'
import { printSession } from '../script/print'
import { readScript } from '../script/reader/read-script'
import type { Session } from '../session/document'
import { advise } from './advise'
import { nobody } from '../athlete/standpoint'
import { seenBy } from '../../tests/support/standpoint'

const read = (rows: string, sport = 'run') => readScript(`sport ${sport}\n\n${rows}\n`, nobody).sessions[0]!
const about = (session: Session, options = {}, athlete = ilse) =>
  advise(session, reckon(session, seenBy(athlete)), seenBy(athlete), options)
const codes = (rows: string, sport = 'run') => about(read(rows, sport)).map(advice => advice.code)

/** The rows after taking the first fix of the first remark of this kind. */
function fixed(rows: string, code: string, sport = 'run'): string {
  let session = read(rows, sport)
  for (const edit of about(session).find(advice => advice.code === code)!.fixes[0]!.edits) {
    const result = apply(session, edit, nobody)
    if (!result.ok) throw new Error(sayRefusal(result.refusal))
    session = result.session
  }
  return printSession(session).split('\n\n')[1]!.trimEnd()
}

describe('what a training partner would remark on', () => {
  it.each([
    [
      'needless-last-recovery',
      '4 times\n  5:00 @ 10k effort\n  recovery 2:00\ncool-down 10:00',
      '4 times, drop last recovery\n  5:00 @ 10k effort\n  recovery 2:00\ncool-down 10:00',
    ],
    ['two-recoveries', 'warm-up 10:00\nrecovery 2:00\nrecovery 4:00\n5:00', 'warm-up 10:00\nrecovery 6:00\n5:00'],
    [
      'two-recoveries',
      '2 times\n  1:00\n  rest 0:30\nrecovery 3:00\n5:00',
      '2 times, drop last recovery\n  1:00\n  rest 0:30\nrecovery 3:00\n5:00',
    ],
    ['narrow-band', '20:00 @ 4:59-5:00 /km', '20:00 @ 4:48-5:11 /km'],
    ['beyond-shown', 'warm-up 10:00\n3 km @ 3:40 /km\ncool-down 10:00', 'warm-up 10:00\n3 km @ 4:17 /km\ncool-down 10:00'],
    ['implausible', '3 times, drop last recovery\n  4:00:00\n  recovery 2:00', '3 times, drop last recovery\n  4:00\n  recovery 2:00'],
    ['implausible', '5 times, drop last recovery\n  800 m\n  recovery 400 km', '5 times, drop last recovery\n  800 m\n  recovery 400 m'],
    ['mixed-units', '1 km @ 5:00 /km\n1 km @ 5:10 /km\n1 mi @ 8:00 /mi', '1 km @ 5:00 /km\n1 km @ 5:10 /km\n1 mi @ 4:58 /km'],
    ['press-in-block', '3 times\n  until press @ 5k effort\n  recovery 2:00', '3 times\n  3:00 @ 5k effort\n  recovery 2:00'],
    ['no-easy-after', 'warm-up 10:00\n30:00 @ threshold effort', 'warm-up 10:00\n30:00 @ threshold effort\ncool-down until press'],
    ['no-warm-up', '400 m @ 1500m effort\ncool-down 10:00', 'warm-up until press\n400 m @ 1500m effort\ncool-down 10:00'],
  ])('%s', (code, rows, after) => {
    expect(codes(rows)).toContain(code)
    expect(fixed(rows, code)).toBe(after)
    expect(codes(after)).not.toContain(code)
  })

  it('has nothing to say of a sound session', () => {
    expect(
      codes('warm-up until press\n4 times, drop last recovery\n  1 km @ 10k effort\n  recovery 2:00 jog\ncool-down until press'),
    ).toEqual([])
    expect(codes('warm-up 20:00\n3 times, drop last recovery\n  12:00 @ 90-95 %CP\n  recovery 4:00\ncool-down 10:00', 'ride')).toEqual([])
  })

  it('says how long two recoveries are together', () => {
    expect(about(read('1:00\nrecovery 2:00\nrest 4:00\n1:00'))[0]!.message).toMatch(/6:00 in all/)
  })

  it("takes a band for narrow by the steadiness that the athlete's own recordings have told", () => {
    const narrow = (sd: number) =>
      about(read('20:00 @ 4:54-5:02 /km'), {}, { ...ilse, steadiness: { run: { speed: { sd, tau: 6 } } } }).some(
        advice => advice.code === 'narrow-band',
      )
    expect([narrow(0.01), narrow(0.06)]).toEqual([false, true])
  })

  it('does not join two recoveries over what is switched off between them', () => {
    const [thought] = about(read('1:00\nrecovery 2:00\noff 5:00\nrest 4:00\n1:00'))
    expect(thought).toMatchObject({ code: 'two-recoveries', path: '4', fixes: [{ label: 'take this one away' }] })
  })

  it('says the first few of a kind, however many there are of another', () => {
    const rows = [
      ...Array.from({ length: 8 }, () => '3 km @ 3:40-3:55 /km'),
      ...Array.from({ length: 8 }, () => '20:00 @ 5:59-6:00 /km'),
    ].join('\n')
    const counted = (code: string) => codes(rows).filter(one => one === code).length
    expect([counted('beyond-shown'), counted('narrow-band')]).toEqual([5, 5])
    expect(about(read(rows)).find(thought => thought.code === 'narrow-band')!.path).toBe('9')
  })

  it('says of a row in a repeat what there is to say once', () => {
    expect(codes('4 times\n  20:00 @ 5:59-6:00 /km').filter(code => code === 'narrow-band')).toHaveLength(1)
  })

  it('says when the day is too short', () => {
    const [advice] = about(read('1:30:00 @ easy effort'), { secondsToday: 3600 })
    expect(advice).toMatchObject({ code: 'over-time', path: null })
    expect(advice!.message).toMatch(/30 min too long/)
    expect(about(read('50:00 @ easy effort'), { secondsToday: 3600 })).toEqual([])
  })

  it('keeps the key of a thought while its row says the same, wherever it stands', () => {
    const key = (rows: string) => about(read(rows)).find(advice => advice.code === 'needless-last-recovery')!.key
    const set = '4 times\n  5:00 @ 10k effort\n  recovery 2:00\ncool-down 10:00'
    expect(key(`warm-up 15:00\n${set}`)).toBe(key(set))
    expect(key(set.replace('4 times', '5 times'))).not.toBe(key(set))
  })

  it('never fails, and every fix is an edit that fits', () => {
    fc.assert(
      fc.property(arbitrarySession, fc.constantFrom(ilse, unknownAthlete), (session, athlete) => {
        for (const advice of about(session, { secondsToday: 1800 }, athlete)) {
          expect(advice.message).not.toMatch(/NaN|Infinity|undefined|null/)
          for (const fix of advice.fixes) expect(apply(session, fix.edits[0]!, nobody)).toMatchObject({ ok: true })
        }
      }),
      { numRuns: 500 },
    )
  }, 120_000)
})
