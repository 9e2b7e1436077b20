import { getHeader } from 'h3'
import type { H3Event } from 'h3'
import { entranceKind, hostOf } from './entrance'

const loopback = /^(?:127\.0\.0\.1|localhost|\[::1\])$/

/** Names besides those of this machine that the server is asked by: over the home network, its addresses and the name it was given. */
const otherHosts = () => (process.env.AGONIS_HOSTS ?? '').split(',').filter(Boolean)

/**
 * Why a request is turned away before anything else is looked at: it asks by a name that is not ours, or comes from a page of
 * somebody else. Null where it may come in.
 */
export function turnedAwayBy(event: H3Event): 'host' | 'origin' | null {
  const { name } = hostOf(event)
  if (!loopback.test(name) && !otherHosts().includes(name)) return 'host'
  const origin = getHeader(event, 'origin')
  const scheme = entranceKind() === 'home' ? 'https' : 'http'
  return origin !== undefined && origin !== `${scheme}://${getHeader(event, 'host')}` ? 'origin' : null
}

/** Whether a request asks for a page to look at, not for a file or for the API. */
export const asksForPage = (event: H3Event): boolean => {
  const path = event.path.split('?')[0]!
  return (event.method === 'GET' || event.method === 'HEAD') && !path.startsWith('/api/') && !path.startsWith('/_') && !/\.\w+$/.test(path)
}
