/** Two of distance, time and speed, and with them the third. */
export interface Movement {
  metres: number
  seconds: number
  speed: number
}

export type MovementReading = { ok: true; movement: Movement } | { ok: false; missing: string }

const sound = (value: number | undefined): value is number => value !== undefined && Number.isFinite(value) && value > 0

/**
 * The third of distance, time and speed from any two; with all three, the speed is reckoned anew.
 *
 * @param given metres, seconds and m/s, each more than zero where given
 * @example movementOf({ metres: 10000, seconds: 2820 }) // 3.546 m/s
 */
export function movementOf(given: Partial<Movement>): MovementReading {
  const { metres, seconds, speed } = given
  if (sound(metres) && sound(seconds)) return { ok: true, movement: { metres, seconds, speed: metres / seconds } }
  if (sound(metres) && sound(speed)) return { ok: true, movement: { metres, seconds: metres / speed, speed } }
  if (sound(seconds) && sound(speed)) return { ok: true, movement: { metres: seconds * speed, seconds, speed } }
  return { ok: false, missing: 'two of distance, time and pace' }
}
