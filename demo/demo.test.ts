import { describe, expect, it } from 'vitest'
import { validateAthlete, validateRecording, validateSession } from '../core/formats/validate'
import { score } from '../core/record/score'
import { reckon } from '../core/reckon/reckon'
import { printSession } from '../core/script/print'
import { readScript } from '../core/script/reader/read-script'
import { checkSession } from '../core/session/check'
import { digestOf } from '../core/wrist/program/digest'
import { ilse } from './athlete'
import { demoLog, demoPlan } from './log'
import { demoScripts } from './sessions'
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

  it('has three weeks of log, sound, the same every time, with a cold and a badly paced session in it', () => {
    const log = [...demoLog(ilse, byTitle)]
    const days = log.map(entry => entry.recording.startedAt.slice(0, 10))
    expect([days[0], days.at(-1)]).toEqual(['2026-03-09', '2026-03-29'])
    for (const { recording } of log) expect(validateRecording(recording).ok).toBe(true)
    const heldOf = (title: string) =>
      log.filter(entry => entry.title === title).map(entry => score(entry.program, entry.recording, nobody.athlete).totals)
    expect(heldOf('Twelve threes')[0]!.held).toBeLessThan(0.2)
    expect(heldOf('Ten quick minutes')[0]!.done).toBeLessThan(heldOf('Ten quick minutes')[0]!.planned)
    expect(digestOf([...demoLog(ilse, byTitle)].map(entry => entry.recording))).toBe(digestOf(log.map(entry => entry.recording)))
  })

  it('plans only what is on the shelf', () => {
    for (const { title } of demoPlan) expect(byTitle.has(title)).toBe(true)
  })
})
