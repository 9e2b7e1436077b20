import { describe, expect, it } from 'vitest'
import { runClock } from './clock'

function clockAt(from = 0) {
  const time = { steady: 1000, day: 5_000_000 }
  const clock = runClock(from, { steady: () => time.steady, day: () => time.day })
  const pass = (steady: number, day = steady) => {
    time.steady += steady
    time.day += day
  }
  return { clock, pass }
}

describe('the clock of a run', () => {
  it('goes on evenly from where it began', () => {
    const { clock, pass } = clockAt(40)
    expect(clock.now()).toBe(40)
    pass(1500)
    expect(clock.now()).toBe(41.5)
  })

  it('does not heed a time of day that is set, forward or back', () => {
    const { clock, pass } = clockAt()
    pass(1000, 3_600_000)
    expect(clock.now()).toBe(1)
    pass(1000, -7_200_000)
    expect(clock.now()).toBe(2)
  })

  it('counts the time a phone has slept, whether or not its even clock did', () => {
    const { clock, pass } = clockAt()
    clock.hidden()
    pass(500, 90_000)
    expect(clock.now()).toBe(90)
    clock.hidden()
    pass(60_000)
    expect(clock.now()).toBe(150)
    clock.hidden()
    pass(1000, -50_000)
    expect(clock.now()).toBe(151)
  })

  it('never goes back', () => {
    const { clock, pass } = clockAt(10)
    pass(-5000, -5000)
    expect(clock.now()).toBe(10)
  })
})
