import type { Item, Target } from '../session/document'
import { isBandTarget, isEffortTarget } from '../session/document'
import { holds } from '../session/item-path'

/** How much harder a copied set is; negative is easier. */
export type Shift = { by: number; unit: '%' | 's/km' | 's/mi' | 's/100m' | 'W' | 'bpm' }

function shiftAmount(value: number | undefined, shift: Shift, unit: string): number | undefined {
  if (value === undefined) return undefined
  const isPace = unit.startsWith('s/')
  const rounded = (amount: number) => (isPace ? Math.round(amount) : Math.round(amount * 10) / 10)
  if (shift.unit === '%') return rounded(isPace ? value / (1 + shift.by / 100) : value * (1 + shift.by / 100))
  return rounded(isPace ? value - shift.by : value + shift.by)
}

/** A target that much harder, or easier where the shift is below zero; null where the shift does not fit its unit. */
export function shiftTarget(target: Target, shift: Shift): Target | null {
  if (isEffortTarget(target)) {
    const by = shift.unit === '%' ? shift.by : -shift.by
    if (shift.unit !== '%' && !shift.unit.startsWith('s/')) return null
    const { offset, ...rest } = target
    if (offset && offset.unit !== shift.unit) return null
    const value = (offset?.value ?? 0) + by
    return value === 0 ? rest : { ...rest, offset: { value, unit: shift.unit as 's/km' } }
  }
  if (!isBandTarget(target) || target.unit === 'of 10' || target.of === 'cadence') return null
  const fits = shift.unit === '%' || shift.unit === target.unit
  if (!fits) return null
  const moved = (band: { easiest?: number; hardest?: number }) => ({
    ...(band.easiest === undefined ? {} : { easiest: shiftAmount(band.easiest, shift, target.unit) }),
    ...(band.hardest === undefined ? {} : { hardest: shiftAmount(band.hardest, shift, target.unit) }),
  })
  const result = { ...target, ...moved(target), ...(target.to ? { to: { ...target.to, ...moved(target.to) } } : {}) }
  const isSound = [result.easiest, result.hardest].every(value => value === undefined || value > 0)
  return isSound ? result : null
}

/**
 * An item with every work target that the shift fits moved by it.
 *
 * @param changed counts the targets that were moved
 */
export function harderItem(item: Item, shift: Shift, changed: { count: number }): Item {
  if (holds(item)) return { ...item, items: item.items.map(inner => harderItem(inner, shift, changed)) }
  if (item.kind !== 'step' || item.role !== 'work' || !item.target) return item
  const target = shiftTarget(item.target, shift)
  if (!target) return item
  changed.count++
  return { ...item, target }
}
