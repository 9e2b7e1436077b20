export interface SendOffRow {
  sendOff: number
  rest: number
  share: number
}

const longest = 48 * 3600

/**
 * Send-offs for a distance swum at a pace: the next whole five seconds on, and what rest each leaves.
 *
 * @param seconds of the swim, more than zero, at most 48 h
 * @param count how many rows, 1 to 24
 * @returns rising send-offs in seconds, each with its rest and the share of the time that is rest
 * @example sendOffsFor(112, 2) // 1:55 leaves 3 s, 2:00 leaves 8 s
 */
export function sendOffsFor(seconds: number, count: number): SendOffRow[] {
  if (!(seconds > 0) || seconds > longest) return []
  const first = Math.floor(seconds / 5) * 5 + 5
  return Array.from({ length: Math.min(24, Math.max(1, Math.floor(count))) }, (_, index) => {
    const sendOff = first + index * 5
    return { sendOff, rest: sendOff - seconds, share: (sendOff - seconds) / sendOff }
  })
}
