import { defineEventHandler, getCookie, getHeader, setCookie, setHeader, setResponseStatus } from 'h3'
import { cookieName } from '../services/route'

const loopback = /^(?:127\.0\.0\.1|localhost|\[::1\])(?::\d+)?$/

/**
 * The door of a server on loopback: another host name or origin is turned away, so that no other page can reach in;
 * whoever opens the first page from this machine is the home account.
 */
export default defineEventHandler(event => {
  const host = getHeader(event, 'host') ?? ''
  const origin = getHeader(event, 'origin')
  if (!loopback.test(host) || (origin !== undefined && origin !== `http://${host}`)) {
    setResponseStatus(event, 403)
    return {
      problem: 'This server answers only to its own pages on this machine.',
      where: origin ? 'origin' : 'host',
      hint: 'Open it as 127.0.0.1 or localhost.',
    }
  }
  setHeader(event, 'x-content-type-options', 'nosniff')
  setHeader(event, 'referrer-policy', 'no-referrer')
  setHeader(event, 'x-frame-options', 'DENY')
  const isApi = event.path.startsWith('/api/')
  if (isApi) setHeader(event, 'cache-control', 'no-store')
  else if (event.method !== 'GET' && event.method !== 'HEAD') {
    setResponseStatus(event, 405)
    setHeader(event, 'allow', 'GET, HEAD')
    return { problem: 'A page can only be looked at.', where: 'method', hint: 'Requests that change something go to /api.' }
  }
  const home = process.env.AGONIS_HOME_TOKEN
  const isPage = event.method === 'GET' && !isApi && !event.path.startsWith('/_nuxt/')
  if (home && isPage && getCookie(event, cookieName) === undefined) {
    setCookie(event, cookieName, home, { httpOnly: true, sameSite: 'strict', path: '/', maxAge: 3600 * 24 * 365 })
  }
})
