import { Problem } from './problem'
import { standinPlace } from './link'

/**
 * Reaches for the glass, the buttons and the faults of a stand-in watch: what a hand does, not the wrist protocol.
 *
 * @param signal ends it, also while the answer is still being read
 */
export async function atStandin(
  address: string,
  method: 'GET' | 'PUT' | 'POST',
  what: string,
  body?: unknown,
  signal?: AbortSignal,
): Promise<Response> {
  const place = standinPlace()
  try {
    return await fetch(`${place.url}/${encodeURIComponent(address)}/${what}`, {
      method,
      headers: { 'x-standin-key': place.key },
      ...(signal ? { signal } : {}),
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    })
  } catch {
    throw new Problem(503, 'The stand-in watch is not running.', 'stand-in', 'Start the application again with npm start.')
  }
}
