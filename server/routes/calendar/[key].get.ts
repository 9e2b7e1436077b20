import { createHash } from 'node:crypto'
import { getHeader, getRequestIP, setResponseHeader, setResponseStatus } from 'h3'
import { sql } from 'drizzle-orm'
import { object, string } from 'yup'
import { asOwner } from '../../db/client'
import { digestOfToken } from '../../services/account'
import { calendarOfFeed } from '../../services/calendar'
import { knock } from '../../services/knock'
import { Problem } from '../../services/problem'
import { outsideRoute } from '../../services/route'

const keyShape = /^([\w-]{43})\.ics$/
const wrongAtMost = 60

/**
 * The plan as another calendar reads it. The key in the address is all that lets in: a guessed one finds nothing, and whoever guesses
 * often is turned away for a while.
 */
export default outsideRoute({
  params: object({ key: string().max(200).required() }),
  async handle({ event, database, params }) {
    setResponseHeader(event, 'cache-control', 'private, no-cache')
    setResponseHeader(event, 'x-robots-tag', 'noindex')
    const [, key] = keyShape.exec(params.key) ?? []
    const [found] = key
      ? await database.execute<{ owner: string; feed: string }>(sql`select owner, feed from feed_of_key(${digestOfToken(key)})`)
      : []
    const calendar = found ? await asOwner(database, found.owner, tx => calendarOfFeed(tx, found.feed)) : null
    if (calendar === null) {
      await knock(database, `calendar ${getRequestIP(event) ?? ''}`, wrongAtMost)
      throw new Problem(404, 'There is no calendar at this address.', 'params.key', 'It may have been ended; Weeks gives out another.')
    }
    const tag = `"${createHash('sha256').update(calendar).digest('base64url')}"`
    setResponseHeader(event, 'etag', tag)
    if (getHeader(event, 'if-none-match') === tag) {
      setResponseStatus(event, 304)
      return null
    }
    setResponseHeader(event, 'content-type', 'text/calendar; charset=utf-8')
    return calendar
  },
})
