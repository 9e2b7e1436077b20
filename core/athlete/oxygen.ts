/**
 * Oxygen cost of running on the flat.
 *
 * @param speed m/s
 * @returns ml per kg and min
 * @source Daniels & Gilbert, Oxygen Power (1979): -4.60 + 0.182258 v + 0.000104 v², v in m/min
 * @example oxygenCost(250 / 60) // 47.46
 */
export function oxygenCost(speed: number): number {
  const v = speed * 60
  return -4.6 + 0.182258 * v + 0.000104 * v * v
}

/**
 * The share of the oxygen capacity that can be kept up for a time.
 *
 * @param seconds more than zero; fitted on 3.5 to 230 min, beyond that an extrapolation
 * @source Daniels & Gilbert (1979): 0.8 + 0.1894393 e^(-0.012778 t) + 0.2989558 e^(-0.1932605 t), t in min
 */
export function sustainableShare(seconds: number): number {
  const t = seconds / 60
  return 0.8 + 0.1894393 * Math.exp(-0.012778 * t) + 0.2989558 * Math.exp(-0.1932605 * t)
}

/** Whether a time lies where the model was fitted: 3.5 to 230 min. */
export const isWithinOxygenModel = (seconds: number): boolean => seconds >= 210 && seconds <= 13_800

/**
 * The oxygen capacity that a running performance speaks of.
 *
 * @param metres run in these seconds, all out
 * @returns ml per kg and min, or null where the pace is too slow to cost anything
 * @example oxygenCapacity(5000, 1200) // 49.8
 */
export function oxygenCapacity(metres: number, seconds: number): number | null {
  const capacity = oxygenCost(metres / seconds) / sustainableShare(seconds)
  return capacity > 0 && Number.isFinite(capacity) ? capacity : null
}

/**
 * The time over a distance at which the pace just uses up what can be kept up for that time, by bisection.
 *
 * Law: `oxygenCapacity(metres, secondsAtCapacity(capacity, metres))` is `capacity`.
 *
 * @param capacity ml per kg and min, 15 to 100
 * @param metres 400 to 100 000
 * @returns seconds, to a thousandth
 * @example secondsAtCapacity(oxygenCapacity(10000, 2820)!, 5000) // 1361
 */
export function secondsAtCapacity(capacity: number, metres: number): number {
  let fast = metres / 12
  let slow = metres / 0.5
  for (let round = 0; round < 60; round++) {
    const middle = (fast + slow) / 2
    const needed = oxygenCost(metres / middle) / sustainableShare(middle)
    if (needed > capacity) fast = middle
    else slow = middle
  }
  return (fast + slow) / 2
}

/**
 * The speed that can be kept up for a time at an oxygen capacity: the positive root of the cost formula.
 *
 * @returns m/s
 */
export function speedAtCapacity(capacity: number, seconds: number): number {
  const cost = capacity * sustainableShare(seconds)
  return (-0.182258 + Math.sqrt(0.182258 ** 2 + 4 * 0.000104 * (cost + 4.6))) / (2 * 0.000104) / 60
}
