import { describe, expect, it } from 'vitest'
import type { ScoredStep } from '~~/core/record/score'
import type { ProgramStep } from '~~/core/wrist/program/program'
import { notchesOf } from './notch'

const stepOf = (path: string, target: object | undefined) => [path, { path, target } as unknown as ProgramStep] as const
const done = (path: string, speed: number | null, power: number | null = null) =>
  ({ path, round: [], status: 'done', mean: { speed, power, heartRate: null, cadence: null } }) as unknown as ScoredStep

describe('the notch of a step', () => {
  const steps = new Map([
    stepOf('1', { of: 'pace', easiest: 3, hardest: 3.2 }),
    stepOf('2', { of: 'pace', easiest: 4, hardest: 4.2 }),
    stepOf('3', { of: 'power', easiest: 200 }),
    stepOf('4', { of: 'rpe', easiest: 3, hardest: 4 }),
    stepOf('5', undefined),
  ])
  it('lies in its band where the mean did, on one axis for all of a measure', () => {
    const [slow, fast, power, felt, free] = notchesOf(
      [done('1', 3.1), done('2', 4.4), done('3', null, 230), done('4', 3), done('5', 3)],
      steps,
    )
    expect(slow!.at!).toBeGreaterThan(slow!.from)
    expect(slow!.at!).toBeLessThan(slow!.to)
    expect(slow!.to).toBeLessThan(fast!.from)
    expect(fast!.at!).toBeGreaterThan(fast!.to)
    expect(power).toMatchObject({ isOpen: 'harder' })
    expect([felt, free]).toEqual([null, null])
  })
  it('stays on the axis however far off it was, and is not there where nothing was measured', () => {
    const [wild, none] = notchesOf([done('1', 40), done('2', null)], steps)
    expect(wild!.at).toBeLessThanOrEqual(1)
    expect(wild!.from).toBeLessThan(0.5)
    expect(none!.at).toBeNull()
  })
})
