import { defineEventHandler, getQuery, sendRedirect, setHeader } from 'h3'
import { sharedDatabase } from '../db/client'
import { redeem } from '../services/invitation'
import { letDeviceIn } from '../services/sign-in'

/** The address with a key that lets in once. What comes of it is never kept on the way, and the key stays in no address shown. */
export default defineEventHandler(async event => {
  setHeader(event, 'cache-control', 'no-store')
  const { key } = getQuery(event)
  const database = sharedDatabase()
  const invited = typeof key === 'string' && key.length < 200 ? await redeem(database, key) : null
  if (invited?.lets !== 'enter') return sendRedirect(event, '/sign-in?why=used')
  await letDeviceIn(event, database, invited.owner)
  return sendRedirect(event, '/')
})
