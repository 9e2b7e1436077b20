import { promisify } from 'node:util'
import { gzip } from 'node:zlib'
import { appendResponseHeader, getRequestHeader, getResponseHeader, setResponseHeader } from 'h3'

/** What is shorter goes in one packet anyway. */
const worthIt = 1400
const packed = promisify(gzip)

/** Sends what is said in words in fewer bytes to whoever can read that; files are compressed when they are built. */
export default defineNitroPlugin(nitro => {
  nitro.hooks.hook('beforeResponse', async (event, response) => {
    /** Trap: an error's page is asked for within the server, which reads its words and hands its headers on. */
    if (event.path.startsWith('/__nuxt')) return
    const { body } = response
    const words = typeof body === 'string' ? body : body !== null && typeof body === 'object' && isPlain(body) ? JSON.stringify(body) : null
    if (words === null || words.length < worthIt || getResponseHeader(event, 'content-encoding')) return
    if (!/\bgzip\b/.test(getRequestHeader(event, 'accept-encoding') ?? '')) return
    if (typeof body !== 'string') setResponseHeader(event, 'content-type', 'application/json')
    setResponseHeader(event, 'content-encoding', 'gzip')
    appendResponseHeader(event, 'vary', 'accept-encoding')
    response.body = await packed(words)
  })
})

/** Data and lists; streams, buffers and answers of the platform go as they are. */
const isPlain = (body: object) => Array.isArray(body) || Object.getPrototypeOf(body) === Object.prototype
