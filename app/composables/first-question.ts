/** An answer that has waited longer, in milliseconds, may not be true any more. */
const freshFor = 15_000

/**
 * What every room asks first, asked while the room itself is still on its way; taken once, by whoever asks it next.
 *
 * A signed-out browser finds out from its own question, as it always did.
 */
let asked: { at: number; response: Promise<Response> } | null = null

export function askFirst(): void {
  asked = { at: Date.now(), response: fetch('/api/me').catch(() => Response.error()) }
}

/** The answer to the first question, if a path is that question, nobody took it yet and it is fresh. */
export async function firstAnswer(path: string, method: string | undefined): Promise<Response | null> {
  if (path !== '/me' || (method ?? 'GET') !== 'GET' || !asked) return null
  const { at, response } = asked
  /** Trap: taken before it is waited for, since an answer can be read by one only. */
  asked = null
  if (Date.now() - at > freshFor) return null
  const answer = await response
  return answer.ok ? answer : null
}
