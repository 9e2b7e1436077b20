import { describe, expect, it } from 'vitest'
import type { Standpoint } from '../../core/athlete/standpoint'
import { nobody } from '../../core/athlete/standpoint'
import { withFix } from '../../core/script/fix'
import { lessonFrom, standpointWith } from '../../core/script/reader/lesson'
import { readScript } from '../../core/script/reader/read-script'

/** A coach's season in one hand, week by week, and which of the answers offered is meant. */
const season = [
  '2 km easy, 5 x 5m w/ 90 s jog, 2 km easy',
  '20 min tempo, 6 strides',
  '2 km easy, 4 x 6m w/ 2m jog, 2 km easy',
  '10m easy, 25 min tempo, 10m easy',
  '2 km easy, 6 x 4m w/ 90 s jog, 2 km easy',
  '8 x 200s w/ 200 jog',
  '2 x 15 min tempo w/ 3m jog',
  '2 km easy, 3 x 8m w/ 2m jog, 2 km easy',
  '10 x 300s w/ 100 jog',
  '12m easy, 20 min tempo, 8m easy',
  '2 km easy, 5 x 6m w/ 90 s jog, 2 km easy',
  '30 min tempo',
  '3 x 10m w/ 3m jog',
  '8m easy, 4 x 3m w/ 1m jog',
]
const isMeant = (label: string) => /:\d\d$|threshold|\d m$/.test(label)

/** Answers every question of a message, keeps what the answers teach, and says how many questions there were. */
function answerAll(message: string, known: Standpoint): { asked: number; standpoint: Standpoint } {
  let [text, standpoint, asked] = [message, known, 0]
  for (;;) {
    const ask = readScript(text, standpoint).remarks.find(({ level, fixes }) => level === 'ask' && fixes.length > 0)
    if (!ask) return { asked, standpoint }
    asked++
    const { replacement } = ask.fixes.find(({ label }) => isMeant(label))!
    const lesson = lessonFrom(text, ask, replacement, standpoint)
    text = withFix(text, ask, replacement)
    if (lesson) standpoint = standpointWith(standpoint, lesson)
  }
}

describe('a season of messages whose answers are kept', () => {
  it('asks less and less, where without them it would go on asking', () => {
    let standpoint = nobody
    const asked = season.map(message => {
      const answered = answerAll(message, standpoint)
      standpoint = answered.standpoint
      return answered.asked
    })
    const sum = (counts: number[]) => counts.reduce((total, count) => total + count, 0)
    const forgetful = season.map(message => answerAll(message, nobody).asked)
    expect(sum(asked.slice(0, 7))).toBeGreaterThan(0)
    expect(sum(asked.slice(7))).toBeLessThan(sum(asked.slice(0, 7)))
    expect(sum(asked.slice(10))).toBe(0)
    expect(sum(forgetful.slice(7))).toBeGreaterThanOrEqual(sum(forgetful.slice(0, 7)) - 2)
  })
})
