import { gunzipSync } from 'node:zlib'
import { addressesOfRooms } from '../../scripts/addresses.mjs'
import { expect, test } from './page'

/** Kilobytes of script, as sent, until a room answers; the two with an editor and a chart have more. */
const most = { room: 200, wide: 350 }

test('each room says its name and what it is about in its first words, and fetches no more than it needs', async ({ app, browser }) => {
  test.slow()
  await app.goto('/shelf')
  const idOf = async (path: string) => (await (await app.request.get(path)).json()).rows[0].id as string
  const ids = { card: await idOf('/api/sessions?limit=1'), log: await idOf('/api/recordings?limit=1') }
  /** Where nobody signs in, that page leads on to another. */
  const addresses = addressesOfRooms(ids).filter(address => address !== '/sign-in')
  expect(addresses.length).toBeGreaterThan(10)
  for (const address of addresses) {
    const words = await app.request.get(address, { headers: { 'accept-encoding': 'identity' } })
    const html = await words.text()
    expect(html, address).toMatch(/<h1[^>]*>[^<]+<\/h1><p[^>]*>[^<]+<\/p>/)
    expect(html.match(/<script[^>]*src=/g) ?? [], address).toHaveLength(1)

    const context = await browser.newContext({ baseURL: process.env.AGONIS_ADDRESS, serviceWorkers: 'block' })
    await context.addCookies(await app.context().cookies())
    const page = await context.newPage()
    /** What comes after the room answers needs the line's latency at least, and so is told apart from what it waited for. */
    const session = await context.newCDPSession(page)
    await session.send('Network.enable')
    await session.send('Network.emulateNetworkConditions', { offline: false, latency: 60, downloadThroughput: -1, uploadThroughput: -1 })
    await page.addInitScript(() => {
      new MutationObserver(() => {
        const isOpening = document.querySelector('[data-test=opening]') !== null
        if (!isOpening && document.querySelector('h1') && !('answeredAt' in window))
          Object.assign(window, { answeredAt: performance.now() })
      }).observe(document, { childList: true, subtree: true })
    })
    await page.goto(address, { waitUntil: 'commit' })
    await page.waitForFunction(() => 'answeredAt' in window)
    const sent = await page.evaluate(() => {
      const { answeredAt } = window as unknown as { answeredAt: number }
      const [own] = performance.getEntriesByType('navigation') as PerformanceResourceTiming[]
      const scripts = (performance.getEntriesByType('resource') as PerformanceResourceTiming[]).filter(
        ({ name, responseEnd }) => /\.js$/.test(name) && responseEnd <= answeredAt,
      )
      return { html: own!.transferSize / 1000, script: scripts.reduce((sum, { transferSize }) => sum + transferSize, 0) / 1000 }
    })
    expect(sent.script, address).toBeGreaterThan(50)
    expect(sent.html, address).toBeLessThan(14)
    expect(sent.script, address).toBeLessThan(/^\/(?:desk|log)/.test(address) ? most.wide : most.room)
    await context.close()
  }
})

test('words and data go compressed to whoever reads that, and as they are to whoever does not', async ({ app }) => {
  await app.goto('/shelf')
  const { origin } = new URL(app.url())
  const cookie = (await app.context().cookies()).map(({ name, value }) => `${name}=${value}`).join('; ')
  const ask = async (path: string, encoding: string) => {
    const { get } = await import('node:http')
    return new Promise<{ encoding: string | undefined; body: Buffer }>(resolve =>
      get(`${origin}${path}`, { headers: { cookie, 'accept-encoding': encoding } }, response => {
        const parts: Buffer[] = []
        response.on('data', part => parts.push(part as Buffer))
        response.on('end', () => resolve({ encoding: response.headers['content-encoding'], body: Buffer.concat(parts) }))
      }),
    )
  }
  for (const path of ['/shelf', '/api/sessions?limit=50']) {
    const [packed, plain] = [await ask(path, 'gzip'), await ask(path, 'identity')]
    expect(packed.encoding, path).toBe('gzip')
    expect(plain.encoding, path).toBeUndefined()
    expect(packed.body.length, path).toBeLessThan(plain.body.length / 2)
    expect(gunzipSync(packed.body).length, path).toBeGreaterThan(plain.body.length * 0.9)
  }
  expect((await ask('/nowhere', 'gzip')).body.toString()).toContain('There is nothing at this address')
})
