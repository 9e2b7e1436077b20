import type { Athlete, Bike } from './athlete'

export const defaultBike: Bike = { massKg: 9, cda: 0.32, crr: 0.005 }
/** Rider and bike, in kg, and the bike's forces; customary ones where the athlete has not said. */
export function loadedBike({ massKg = 75, ride }: Athlete): { totalKg: number; bike: Bike } {
  const bike = ride?.bike ?? defaultBike
  return { totalKg: massKg + bike.massKg, bike }
}

const airDensity = 1.226
const gravity = 9.81
const driveEfficiency = 0.977

/**
 * Power at the pedals to hold a speed on the bike in still air.
 *
 * @param speed metres per second, zero or more
 * @param totalKg rider and bike
 * @param slope rise over run
 * @returns watts: air, rolling and grade over the drive's efficiency; bearings and acceleration left out
 * @source Martin et al., J Appl Biomech 14 (1998)
 * @example Math.round(powerAtSpeed(10, 80, defaultBike)) // 241
 */
export function powerAtSpeed(speed: number, totalKg: number, bike: Bike, slope = 0): number {
  const angle = Math.atan(slope)
  const air = 0.5 * airDensity * bike.cda * speed ** 2
  const rolling = bike.crr * totalKg * gravity * Math.cos(angle)
  const grade = totalKg * gravity * Math.sin(angle)
  return (speed * (air + rolling + grade)) / driveEfficiency
}

/**
 * Speed that a power gives on the bike in still air, by bisection; the inverse of `powerAtSpeed` for power above zero.
 *
 * @param watts zero or more
 * @returns metres per second, at most 30
 */
export function speedAtPower(watts: number, totalKg: number, bike: Bike, slope = 0): number {
  let low = 0
  let high = 30
  for (let round = 0; round < 50; round++) {
    const middle = (low + high) / 2
    if (powerAtSpeed(middle, totalKg, bike, slope) < watts) low = middle
    else high = middle
  }
  return (low + high) / 2
}
