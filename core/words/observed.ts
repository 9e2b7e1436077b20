import { sayDuration } from '../quantity/time'

const percent = (share: number) => `${(Math.abs(share) * 100).toFixed(1).replace(/\.0$/, '')} %`
const times = (count: number) => (count === 1 ? 'once' : count === 2 ? 'twice' : `${count} times`)

/** A fade or spread below this is none. */
const none = 0.01
/** From so much drift on, custom calls the going more than the heart was ready for. */
const muchDrift = 0.05

/** Repeats beside each other: whether they faded, and how even they were. */
export function sayRepeats(count: number, fade: number, spread: number, best: number, worst: number): string {
  const faded =
    Math.abs(fade) < none
      ? 'as fast at the end as at the beginning'
      : fade > 0
        ? `${percent(fade)} slower in the second half`
        : `${percent(fade)} faster in the second half`
  const evenness = spread < none ? 'no two differ' : `they differ by ${percent(spread)}, ${best} the fastest and ${worst} the slowest`
  return `${count} repeats, ${faded}; ${evenness}.`
}

/** How far the heart drifted from the speed or power. */
export function sayDrift(of: 'speed' | 'power', share: number, seconds: number): string {
  const over = `over ${sayDuration(seconds)} of even going`
  if (Math.abs(share) < none) return `The heart kept to the ${of} ${over}.`
  if (share < 0) return `The heart beat ${percent(share)} less for the same ${of} in the second half, ${over}.`
  const more = share >= muchDrift ? ' Custom calls 5 % and more long or hot for that day.' : ''
  return `The heart beat ${percent(share)} more for the same ${of} in the second half, ${over}.${more}`
}

export const sayRecovery = (beats: number, after: number): string =>
  `In the minute after hard steps the heart fell by ${Math.round(beats)} beats, the middle of ${after}.`
export const sayStops = (count: number, seconds: number): string =>
  `Stood still ${times(count)}, ${sayDuration(seconds)} in all, outside of rests.`
export const sayPauses = (count: number, seconds: number): string =>
  `Paused ${times(count)}, ${sayDuration(seconds)} in all; left out of every mean.`
export const sayClimbed = (metres: number): string => `Climbed ${Math.round(metres)} m.`

/** What a session took of what the athlete has shown, beside what was forecast for it, each as a share. */
export function sayUsed(used: number, forecast: number | null): string {
  const share = (value: number) => `${Math.round(value * 100)} %`
  const own = `It took ${share(used)} of what you have shown`
  if (forecast === null) return `${own}.`
  const apart = used - forecast
  return Math.abs(apart) < 0.04
    ? `${own}, as was forecast.`
    : `${own}; ${share(forecast)} was forecast, so it was ${apart > 0 ? 'harder' : 'easier'} than planned.`
}
