import type { ScoredStep } from '~~/core/record/score'
import type { ProgramStep } from '~~/core/wrist/program/program'

/** A step's band on the axis of all steps of its measure, and where its mean lay; all from 0 to 1, harder to the right. */
export interface Notch {
  from: number
  to: number
  /** Open to one side. */
  isOpen: 'easier' | 'harder' | null
  at: number | null
}

type Measured = 'pace' | 'power' | 'heart-rate'
const meanFor: Record<Measured, keyof ScoredStep['mean']> = { 'pace': 'speed', 'power': 'power', 'heart-rate': 'heartRate' }
const isMeasured = (of: string): of is Measured => of in meanFor

/** A band that is open ends this much beyond its one end. */
const openBy = 0.1
const room = 0.06

/**
 * The bands of scored steps with the notch of what was done, each on the axis that all steps of its measure share.
 *
 * @returns null for a step without a target that is measured
 */
export function notchesOf(scored: readonly ScoredStep[], steps: ReadonlyMap<string, ProgramStep>): (Notch | null)[] {
  const rows = scored.map(step => {
    const target = steps.get(step.path)?.target
    if (!target || !isMeasured(target.of)) return null
    const { easiest = null, hardest = null } = target.to ?? target
    const [first, last] = [target.easiest ?? easiest ?? null, hardest]
    const low = first ?? last! * (1 - openBy)
    const high = last ?? first! * (1 + openBy)
    const isOpen = first === null ? ('easier' as const) : last === null ? ('harder' as const) : null
    return { of: target.of, low: Math.min(low, high), high: Math.max(low, high), isOpen, mean: step.mean[meanFor[target.of]] }
  })
  const axes = new Map<Measured, { low: number; high: number }>()
  for (const row of rows) {
    if (!row) continue
    const axis = axes.get(row.of) ?? { low: Infinity, high: -Infinity }
    const means = row.mean === null ? [] : [Math.min(Math.max(row.mean, row.low * 0.8), row.high * 1.2)]
    axes.set(row.of, { low: Math.min(axis.low, row.low, ...means), high: Math.max(axis.high, row.high, ...means) })
  }
  return rows.map(row => {
    if (!row) return null
    const { low, high } = axes.get(row.of)!
    const span = high - low || 1
    const place = (value: number) => Math.min(1, Math.max(0, room + ((value - low) / span) * (1 - 2 * room)))
    return { from: place(row.low), to: place(row.high), isOpen: row.isOpen, at: row.mean === null ? null : place(row.mean) }
  })
}
