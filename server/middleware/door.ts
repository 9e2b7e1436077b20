import { defineEventHandler, getQuery, sendRedirect, setHeader, setResponseStatus } from 'h3'
import { sharedDatabase } from '../db/client'
import { asksForPage, turnedAwayBy } from '../services/door'
import { entranceKind, letInBy, whoAsks } from '../services/entrance'
import { accountOfToken } from '../services/account'
import { log, requestIdOf } from '../log/log'
import { loggable } from '../log/loggable'
import type { H3Event } from 'h3'

/** Pages that are there for whoever is not signed in yet. */
const outside = /^\/(?:sign-in|enter|join)(?:$|[?/])/

/** A way within the application; anything else would lead to somebody else's page. */
const within = (way: unknown) => (typeof way === 'string' && /^\/(?![/\\])/.test(way) && !outside.test(way) ? way : '/')

/**
 * Leads whoever asks for a page and is not known: in, where this machine's own port is open to its user; else to signing in. A cookie
 * of before, or of another installation, is as good as none.
 */
async function lead(event: H3Event): Promise<unknown> {
  const database = sharedDatabase()
  if (!(await whoAsks(event, database))) {
    const home = process.env.AGONIS_HOME_TOKEN
    if (entranceKind() === 'open' && home && (await accountOfToken(database, home))) await letInBy(event, home)
    else return outside.test(event.path) ? undefined : sendRedirect(event, `/sign-in?to=${encodeURIComponent(event.path)}`)
  }
  return event.path.startsWith('/sign-in') ? sendRedirect(event, within(getQuery(event).to)) : undefined
}

/** The door: what every request passes first. */
export default defineEventHandler(async event => {
  requestIdOf(event)
  setHeader(event, 'x-content-type-options', 'nosniff')
  setHeader(event, 'referrer-policy', 'no-referrer')
  setHeader(event, 'x-frame-options', 'DENY')
  const isApi = event.path.startsWith('/api/')
  if (isApi) setHeader(event, 'cache-control', 'no-store')
  const turnedAway = turnedAwayBy(event)
  if (turnedAway) {
    setResponseStatus(event, 403)
    return {
      problem: 'This server answers only to its own pages, by the names it has.',
      where: turnedAway,
      hint: 'Open it as 127.0.0.1 or localhost, or by the address that npm start printed.',
    }
  }
  if (isApi) return
  if (event.method !== 'GET' && event.method !== 'HEAD') {
    setResponseStatus(event, 405)
    setHeader(event, 'allow', 'GET, HEAD')
    return { problem: 'A page can only be looked at.', where: 'method', hint: 'Requests that change something go to /api.' }
  }
  if (!asksForPage(event)) return
  try {
    return await lead(event)
  } catch (error) {
    /** Trap: with the database away the page opens all the same, shows what the browser keeps, and says so. */
    log.warn({ request: requestIdOf(event), ...loggable(error) }, 'a page without the database')
  }
})
