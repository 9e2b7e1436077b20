import { formatTime } from '../quantity/time'

/** Seconds to the first prompt, and from each to the next. */
export interface FuelPlan {
  first: number
  every: number
}

/**
 * Times to drink or eat at: from the first on, every so often, while the session lasts.
 *
 * @param plan `first` and `every` in seconds; every at least 60
 * @param duration seconds; a prompt within the last five minutes is left out, for it comes too late to help
 * @returns seconds from the start, at most 200
 * @example fuelTimes({ first: 2400, every: 1200 }, 7200) // 40, 60, 80 and 100 min
 */
export function fuelTimes({ first, every }: FuelPlan, duration: number): number[] {
  if (!(every >= 60) || !(first >= 0)) return []
  const times: number[] = []
  for (let at = first; at <= duration - 300 && times.length < 200; at += every) times.push(at)
  return times
}

/** The prompt as a header of a session's script; without a count it goes on if the session lasts longer. */
export function fuelPrompt(say: string, { first, every }: FuelPlan, count: number | null): string {
  return `prompt ${say} from ${formatTime(first)} every ${formatTime(every)}${count === null ? '' : `, ${count} times`}`
}
