import { describe, expect, it } from 'vitest'
import { validateAthlete, validateRecording, validateSession } from '../core/formats/validate'
import { score } from '../core/record/score'
import { reckon } from '../core/reckon/reckon'
import { printSession } from '../core/script/print'
import { readScript } from '../core/script/reader/read-script'
import { checkSession } from '../core/session/check'
import { digestOf } from '../core/wrist/program/digest'
import { ilse } from './athlete'
import { daysFrom } from '../core/quantity/day'
import { athleteAround, weekAround } from './around'
import { demoLog, doneBefore, plannedAround } from './log'
import { demoDoubtful, demoScripts } from './sessions'
import { nobody } from '../core/athlete/standpoint'
import { seenBy } from '../tests/support/standpoint'

const sessions = demoScripts.map(script => readScript(script, nobody).sessions[0]!)
const byTitle = new Map(sessions.map(session => [session.title!, session]))

describe('the demo data', () => {
  it('is an athlete the format takes', () => expect(validateAthlete(ilse).ok).toBe(true))

  it('has at least 24 sessions over run, ride and swim, each in canonical words, sound, and under a title of its own', () => {
    expect(sessions.length).toBeGreaterThanOrEqual(24)
    expect(byTitle.size).toBe(sessions.length)
    expect(new Set(sessions.map(session => session.sport))).toEqual(new Set(['run', 'ride', 'swim', 'multi']))
    demoScripts.forEach((script, index) => {
      expect(printSession(sessions[index]!)).toBe(script)
      expect(checkSession(sessions[index]!)).toEqual([])
      expect(validateSession(sessions[index]!).ok).toBe(true)
    })
  })

  it('has a likely time for every session', () => {
    for (const session of sessions)
      expect([session.title, reckon(session, seenBy(ilse)).seconds.likely]).toEqual([session.title, expect.any(Number)])
  })

  /** Days in winter and summer time, at a turn of the year, and one of each place in the week. */
  const anyDays = ['2026-04-01', '2026-10-25', '2026-11-29', '2027-01-01', '2028-02-29']

  it('is laid out around a day: nine weeks done, the days of this week before it, and five weeks to the race', () => {
    for (const day of anyDays) {
      const done = doneBefore(day)
      expect(done.length).toBeGreaterThanOrEqual(52)
      expect(done.every(entry => entry.day < day)).toBe(true)
      expect(done[0]!.day).toBe(daysFrom(weekAround(day), -63))
      expect(plannedAround(day).some(entry => entry.day === day)).toBe(true)
      const { efforts, goals } = athleteAround(day)
      expect(goals![0]!.date).toBe(daysFrom(weekAround(day), 33))
      expect(efforts!.every(effort => effort.date < weekAround(day) && effort.date > daysFrom(day, -60))).toBe(true)
      expect(validateAthlete(athleteAround(day)).ok).toBe(true)
    }
  })

  it('moves as a whole with its day', () => {
    const titles = (day: string) => [...doneBefore(day).map(entry => entry.title), ...plannedAround(day).map(entry => entry.title)]
    expect(titles('2026-12-02')).toEqual(titles('2026-04-01'))
    expect(doneBefore('2026-12-02')[0]!.day).toBe('2026-09-28')
  })

  it('has a log that is sound and the same every time, with a cold, a badly paced session and the one made of it', () => {
    const log = [...demoLog(ilse, byTitle, '2026-04-02')]
    for (const { recording } of log) expect(validateRecording(recording).ok).toBe(true)
    const scoresOf = (title: string) =>
      log.filter(entry => entry.title === title).map(entry => score(entry.program, entry.recording, nobody.athlete).totals)
    expect(scoresOf('Twelve threes')[0]!.held).toBeLessThan(0.2)
    expect(scoresOf('Eight threes')[0]!.held).toBeGreaterThan(0.6)
    expect(scoresOf('Ten quick minutes')[0]!.done).toBeLessThan(scoresOf('Ten quick minutes')[0]!.planned)
    expect(digestOf([...demoLog(ilse, byTitle, '2026-04-02')].map(entry => entry.recording))).toBe(
      digestOf(log.map(entry => entry.recording)),
    )
  }, 60_000)

  it('plans only what is on the shelf, once with a doubt that waits for an answer', () => {
    const [doubtful] = readScript(demoDoubtful, nobody).sessions
    expect(JSON.stringify(doubtful)).toContain('"doubt"')
    for (const { title } of plannedAround('2026-04-01'))
      expect([title, byTitle.has(title) || title === doubtful!.title]).toEqual([title, true])
  })
})
