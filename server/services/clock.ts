/** Seconds that a watch's clock is ahead of ours. */
export const clockAheadOf = (clock: string): number => Math.round((Date.parse(clock) - Date.now()) / 1000)
