/**
 * npm run bench:first-load: each room opened for the first time on a slow line, 400 kbit/s and 300 ms: when its first words
 * stand, when it answers, and what it has fetched till then. Fails where a bound is passed.
 */
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { addressesOfRooms } from '../scripts/addresses.mjs'
import { chromiumOptions } from '../scripts/chromium.mjs'
import { ensureBuild } from '../scripts/prepare.mjs'
import { startStack } from '../scripts/stack.mjs'

const bounds = { words: 2500, answers: 8000, html: 14, script: 200, wideScript: 350 }
const wide = /^\/(?:desk|log)/

ensureBuild()
const folder = mkdtempSync(join(tmpdir(), 'agonis-bench-'))
const stack = await startStack({ folder, demo: true, quiet: true })
const browser = await chromium.launch(chromiumOptions)

/** Opens an address with nothing kept from before, on the slow line. */
async function open(address, cookies) {
  const context = await browser.newContext({ baseURL: stack.address, viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' })
  await context.addCookies(cookies)
  const page = await context.newPage()
  const session = await context.newCDPSession(page)
  await session.send('Network.enable')
  await session.send('Network.emulateNetworkConditions', {
    offline: false,
    latency: 300,
    downloadThroughput: 50_000,
    uploadThroughput: 50_000,
  })
  const kinds = new Map()
  const bytes = { Document: 0, Script: 0, Stylesheet: 0, Font: 0, Fetch: 0, Other: 0 }
  session.on('Network.responseReceived', ({ requestId, type }) => kinds.set(requestId, type))
  session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    const kind = kinds.get(requestId)
    bytes[kind in bytes ? kind : 'Other'] += encodedDataLength
  })
  await page.goto(address, { waitUntil: 'commit' })
  const since = () => page.evaluate(() => performance.now())
  await page.locator('[data-test=opening], h1').first().waitFor()
  const words = await since()
  await page.locator('[data-test=opening]').waitFor({ state: 'detached', timeout: 60_000 })
  await page.locator('h1').first().waitFor()
  const answers = await since()
  const found = { words, answers, ...bytes }
  await context.close()
  return found
}

let failed = 0
try {
  const first = await browser.newContext({ baseURL: stack.address })
  const page = await first.newPage()
  await page.goto('/shelf')
  const idOf = async path => (await (await page.request.get(path)).json()).rows[0].id
  const ids = { card: await idOf('/api/sessions?limit=1'), log: await idOf('/api/recordings?limit=1') }
  const cookies = (await first.cookies()).filter(({ name }) => name !== 'fonts')
  console.log('room          words  answers   html  script  styles  fonts   data   other  kB as sent')
  for (const address of addressesOfRooms(ids)) {
    /** Where nobody signs in, it leads to the Desk. */
    if (address === '/sign-in') continue
    if (process.argv[2] && !address.startsWith(process.argv[2])) continue
    const found = await open(address, address === '/join' ? [] : cookies)
    const kB = name => Math.round(found[name] / 1000)
    const wrong = [
      found.words > bounds.words && 'words',
      found.answers > bounds.answers && 'answers',
      found.Document / 1000 > bounds.html && 'html',
      found.Script / 1000 > (wide.test(address) ? bounds.wideScript : bounds.script) && 'script',
    ].filter(Boolean)
    failed += wrong.length
    const name = address.replace(/[0-9a-f-]{36}/, '…').padEnd(12)
    const sizes = ['Document', 'Script', 'Stylesheet', 'Font', 'Fetch', 'Other'].map(kind => String(kB(kind)).padStart(7)).join('')
    console.log(
      `${name}${String(Math.round(found.words)).padStart(7)}${String(Math.round(found.answers)).padStart(9)}${sizes}  ${wrong.join(', ')}`,
    )
  }
} finally {
  await browser.close()
  await stack.stop()
  rmSync(folder, { recursive: true, force: true })
}
if (failed > 0) process.exit(1)
