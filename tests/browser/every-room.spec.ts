import type { Browser, BrowserContextOptions, Page } from '@playwright/test'
import { addressesOfRooms } from '../../scripts/addresses.mjs'
import { axeFaults, expect, settled, test } from './page'

/** Every room by the router, with a session and a recording where it needs one. */
async function roomsOf(app: Page): Promise<string[]> {
  await app.goto('/shelf')
  const idOf = async (path: string) => (await (await app.request.get(path)).json()).rows[0].id as string
  const ids = { card: await idOf('/api/sessions?limit=1'), log: await idOf('/api/recordings?limit=1') }
  return addressesOfRooms(ids).filter(address => address !== '/sign-in')
}

async function opened(app: Page, browser: Browser, options: BrowserContextOptions): Promise<Page> {
  const context = await browser.newContext({ baseURL: process.env.AGONIS_ADDRESS, serviceWorkers: 'block', locale: 'en-GB', ...options })
  await context.addCookies(await app.context().cookies())
  return context.newPage()
}

/** What is wider than the page and can be reached only sideways; run in the page. */
function sideways(): string[] {
  const wide = document.documentElement.clientWidth
  const scrolls = [...document.querySelectorAll<HTMLElement>('nav, .room, .scroll-x, .side, .editor, pre, table')]
  return [
    ...(document.documentElement.scrollWidth > wide + 1 ? [`the page: ${document.documentElement.scrollWidth} of ${wide}`] : []),
    ...scrolls
      .filter(part => part.tagName !== 'PRE' && part.scrollWidth > part.clientWidth + 1 && part.clientWidth > 0)
      .map(part => `${part.tagName}.${part.className}: ${part.scrollWidth} of ${part.clientWidth}`),
  ]
}

/** What is to be pressed and is smaller than a finger; words within a sentence are as large as the sentence. Run in the page. */
function small(least: number): string[] {
  const pressed = [...document.querySelectorAll<HTMLElement>('button, .el-select__wrapper, .el-input__wrapper, nav a, a.act, summary')]
  return pressed
    .filter(part => part.checkVisibility() && !part.closest('p, dd, li, td, .said, .headed, .offer, .sheet-question, label'))
    .map(part => ({ part, box: part.getBoundingClientRect() }))
    .filter(({ box }) => box.height > 0 && box.height < least - 0.5)
    .map(({ part, box }) => `${part.className} ${part.textContent?.trim().slice(0, 30)}: ${Math.round(box.height)}`)
}

/** What moves; run in the page. */
const moving = () =>
  document
    .getAnimations()
    .filter(one => one.playState === 'running')
    .map(one => `moves: ${(one as CSSAnimation).animationName ?? 'a transition'}`)

type Look = NonNullable<Parameters<Page['emulateMedia']>[0]>

/** How a room is looked at once it stands there, by the window it was opened in. */
const looks: [string, number, Look[]][] = [
  ['wide, light, at night and in forced colours', 1280, [{ colorScheme: 'light' }, { colorScheme: 'dark' }, { forcedColors: 'active' }]],
  [
    'narrow, light, and at night without motion',
    390,
    [{ colorScheme: 'light' }, { colorScheme: 'dark', reducedMotion: 'reduce', forcedColors: 'none' }],
  ],
]

for (const [name, width, each] of looks) {
  test(`every room ${name} is sound to axe, with nothing hidden sideways`, async ({ app, browser }) => {
    test.slow()
    const page = await opened(app, browser, { viewport: { width, height: width > 640 ? 800 : 844 } })
    const found: string[] = []
    for (const address of await roomsOf(app)) {
      await page.emulateMedia({ colorScheme: 'light', reducedMotion: 'no-preference', forcedColors: 'none' })
      await page.goto(address)
      for (const look of each) {
        await page.emulateMedia(look)
        await settled(page)
        /** In forced colours the contrast is the system's. */
        const faults = [
          ...(await axeFaults(page, look.forcedColors === 'active' ? ['color-contrast'] : [])),
          ...(await page.evaluate(sideways)),
          ...(width < 640 ? await page.evaluate(small, 40) : []),
          ...(look.reducedMotion ? await page.evaluate(moving) : []),
        ]
        found.push(...faults.map(fault => `${address} ${JSON.stringify(look)}: ${fault}`))
      }
    }
    expect(found).toEqual([])
    await page.context().close()
  })
}

test('letters of twice the size are read in every room, none hidden sideways', async ({ app, browser }) => {
  test.slow()
  const page = await opened(app, browser, { viewport: { width: 1280, height: 800 } })
  await page.addInitScript(() => document.addEventListener('DOMContentLoaded', () => (document.documentElement.style.fontSize = '200%')))
  const found: string[] = []
  for (const address of await roomsOf(app)) {
    await page.goto(address)
    await settled(page)
    expect(await page.evaluate(() => getComputedStyle(document.body).fontSize), address).toBe('32px')
    found.push(...(await page.evaluate(sideways)).map(fault => `${address}: ${fault}`))
  }
  expect(found).toEqual([])
  await page.context().close()
})

test('a server that is away is said in every room that needs it, and what is said is sound to axe', async ({ app, browser }) => {
  test.slow()
  const page = await opened(app, browser, { viewport: { width: 1280, height: 800 } })
  const addresses = await roomsOf(app)
  await page.route('**/api/**', route => route.abort())
  const found: string[] = []
  for (const address of addresses.filter(one => /^\/(?:shelf|weeks|watches|log|me|card|standin)/.test(one))) {
    await page.goto(address)
    await settled(page)
    const words = await page.locator('.room').innerText()
    if (!/does not answer|out of reach|without the server|kept here/.test(words))
      found.push(`${address} says nothing: ${words.slice(0, 200)}`)
    found.push(...(await axeFaults(page)).map(fault => `${address}: ${fault}`))
  }
  expect(found).toEqual([])
  await page.context().close()
})
