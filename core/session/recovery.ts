import type { Role } from './document'

/** Whether a step of this role lies between the work: moving easily, or standing. */
export const isRecoveryRole = (role: Role): role is 'recovery' | 'rest' => role === 'recovery' || role === 'rest'

/** Whether an item is one step of recovery or rest. */
export const isRecovery = (item: { kind: string; role?: Role }): boolean =>
  item.kind === 'step' && item.role !== undefined && isRecoveryRole(item.role)

/** How many items at the front of a round stay when the recoveries and rests at its end are left out. */
export function withoutTrailing(items: readonly { kind: string; role?: Role }[]): number {
  let count = items.length
  while (count > 0 && isRecovery(items[count - 1]!)) count--
  return count
}
