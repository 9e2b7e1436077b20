import { defineEventHandler, getHeader, getQuery, sendRedirect, setHeader } from 'h3'
import { asOwner, sharedDatabase } from '../db/client'
import { letInBy } from '../services/entrance'
import { addDevice, deviceName, redeem } from '../services/invitation'

/** The address with a key that lets in once. What comes of it is never kept on the way, and the key stays in no address shown. */
export default defineEventHandler(async event => {
  setHeader(event, 'cache-control', 'no-store')
  const { key } = getQuery(event)
  const database = sharedDatabase()
  const invited = typeof key === 'string' && key.length < 200 ? await redeem(database, key) : null
  if (invited?.lets !== 'enter') return sendRedirect(event, '/sign-in?why=used')
  const token = await asOwner(database, invited.owner, tx => addDevice(tx, deviceName(getHeader(event, 'user-agent') ?? '')))
  await letInBy(event, token)
  return sendRedirect(event, '/')
})
