import { describe, expect, it } from 'vitest'
import { demoScripts } from '../../demo/sessions'
import { ilse } from '../../demo/athlete'
import { seenBy } from '../../tests/support/standpoint'
import { daysFrom } from '../quantity/day'
import { readScript } from '../script/reader/read-script'
import { weekText } from './week-text'

const standpoint = seenBy(ilse)
const week = '2026-11-30'
const sessions = demoScripts.map(script => readScript(script, standpoint).sessions[0]!)
const on = (offset: number, index: number) => ({
  day: daysFrom(week, offset),
  kind: 'session' as const,
  title: '',
  minutes: null,
  session: { ...sessions[index]!, note: 'mine', source: 'as pasted' },
})

describe('a week passed on as text', () => {
  it('is read back as the same sessions on the same days', () => {
    for (let first = 0; first + 6 < sessions.length; first += 7) {
      const entries = Array.from({ length: 7 }, (_, offset) => on(offset, first + offset))
      const back = readScript(weekText(entries), standpoint, { week }).sessions.filter(({ items }) => items.length > 0)
      expect(back.map(({ day, sport, title, items }) => ({ day, sport, title, items }))).toEqual(
        entries.map(({ day, session: { sport, title, items } }) => ({ day, sport, title, items })),
      )
    }
  })

  it('keeps notes and what a session was made from to itself, and says rest and other work without making sessions of them', () => {
    const bare = { title: 'Strength', minutes: 45, session: null }
    const text = weekText([
      on(0, 0),
      { ...bare, day: daysFrom(week, 1), kind: 'note', title: 'knee' },
      { ...bare, day: daysFrom(week, 2), kind: 'work' },
      { ...bare, day: daysFrom(week, 3), kind: 'rest' },
    ])
    expect(text).not.toMatch(/mine|as pasted|knee/)
    expect(text).toMatch(/Strength, 45 min[^]*rest day/)
    const back = readScript(text, standpoint, { week })
    expect(back.sessions.filter(({ items }) => items.length > 0).map(({ day }) => day)).toEqual([week])
  })
})
