import { randomUUID } from 'node:crypto'
import type { H3Event } from 'h3'
import { getHeader, setHeader } from 'h3'
import pino from 'pino'

const secretNames = ['authorization', 'cookie', 'token', 'key', 'passphrase', 'params', 'parameters', 'detail', 'body', 'script', 'url']

/**
 * The server's log: what happened to which request, never what the athlete wrote. A line names a request by its id, its method and the
 * pattern of its route; addresses, bodies, parameters of queries and keys stay out, and what slips in under one of these names is
 * struck out.
 */
export const log = pino(
  {
    level: process.env.AGONIS_LOG ?? 'warn',
    base: { pid: process.pid },
    redact: { paths: secretNames.flatMap(name => [name, `*.${name}`]), censor: 'struck out' },
  },
  pino.destination({ fd: 2, sync: true }),
)

const ourId = /^[\w-]{8,64}$/

/** The id of a request: that of a proxy before us, else one of its own. It goes back with the answer. */
export function requestIdOf(event: H3Event): string {
  const known = event.context.requestId as string | undefined
  if (known) return known
  const given = getHeader(event, 'x-request-id') ?? ''
  const id = ourId.test(given) ? given : randomUUID()
  event.context.requestId = id
  setHeader(event, 'x-request-id', id)
  return id
}

/** The pattern of the route that a request came to, such as `/api/sessions/:id`: what was typed into it is not in it. */
export const routeOf = (event: H3Event): string => {
  const matched = (event.context.matchedRoute as { path?: string } | undefined)?.path
  return matched ?? (event.path.startsWith('/api/') ? '/api/*' : '/*')
}
