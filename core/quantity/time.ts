/**
 * Writes a number as the shortest decimal that reads back as the same number, never with an exponent.
 *
 * @param value any finite number
 * @throws RangeError when not finite
 * @example formatNumber(0.5) // "0.5"
 */
export function formatNumber(value: number): string {
  if (!Number.isFinite(value)) throw new RangeError(`not a finite number: ${value}`)
  const shortest = String(value)
  if (!shortest.includes('e')) return shortest
  return value.toLocaleString('en-US', { useGrouping: false, maximumFractionDigits: 20 })
}

/**
 * Writes seconds as a clock: `m:ss` under an hour, else `h:mm:ss`; parts of a second as a decimal.
 *
 * @param seconds zero or more
 * @throws RangeError when negative or not finite
 * @example formatTime(90) // "1:30"
 * @example formatTime(3900) // "1:05:00"
 */
export function formatTime(seconds: number): string {
  if (!Number.isFinite(seconds) || seconds < 0) throw new RangeError(`not a duration: ${seconds}`)
  const micro = Math.round(seconds * 1e6)
  const whole = Math.floor(micro / 1e6)
  const rest = micro - whole * 1e6
  const decimals = rest === 0 ? '' : (rest / 1e6).toFixed(6).slice(1).replace(/0+$/, '')
  const two = (value: number) => String(value).padStart(2, '0')
  const hours = Math.floor(whole / 3600)
  const minutes = Math.floor(whole / 60) % 60
  const clock = hours > 0 ? `${hours}:${two(minutes)}:${two(whole % 60)}` : `${minutes}:${two(whole % 60)}`
  return clock + decimals
}

const clockPattern = /^(?:(\d{1,3}):([0-5]\d):([0-5]\d(?:\.\d+)?)|(\d{1,4}):([0-5]\d(?:\.\d+)?))$/

/**
 * Reads a clock as `formatTime` writes it.
 *
 * @returns seconds, or null when the text is no clock
 * @example parseClock("1:05:00") // 3900
 */
export function parseClock(text: string): number | null {
  const match = clockPattern.exec(text)
  if (!match) return null
  if (match[1] !== undefined) return Number(match[1]) * 3600 + Number(match[2]) * 60 + Number(match[3])
  return Number(match[4]) * 60 + Number(match[5])
}

/**
 * Says a duration in words as people say it: `45 s`, `4 min`, `2:30`, `1 h 05`.
 *
 * @param seconds zero or more, rounded to the second
 */
export function sayDuration(seconds: number): string {
  const whole = Math.round(seconds)
  if (whole < 60) return `${whole} s`
  if (whole < 3600) return whole % 60 === 0 ? `${whole / 60} min` : formatTime(whole)
  const minutes = Math.round(whole / 60)
  return minutes % 60 === 0 ? `${minutes / 60} h` : `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')}`
}

/** Says a duration to the minute, as one speaks of a session that is not timed: `4 min`, `1 h 05`. */
export const sayToTheMinute = (seconds: number) => sayDuration(Math.round(seconds / 60) * 60)
