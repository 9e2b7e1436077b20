import type { Page } from '@playwright/test'
import { addressesOfRooms } from '../../scripts/addresses.mjs'
import { axeFaults, expect, ownStack, settled, test } from './page'

const stack = ownStack('empty', false)

/** Rooms of an installation in which nothing was done yet; a card and a recording are of something. */
const rooms = addressesOfRooms({ card: '-', log: '-' }).filter(address => !address.endsWith('/-') && address !== '/sign-in')

/** What a room with nothing in it says wrong: numbers of what is not there, or nothing that leads on. */
async function faultsOf(page: Page): Promise<string[]> {
  const room = page.locator('.room')
  const words = await room.innerText()
  const ways = await room.locator('a:visible, button:visible, input:visible, .cm-content:visible').count()
  return [
    ...(words.match(/\b0 of 0\b|NaN|undefined|\bnull\b|Infinity/g) ?? []),
    ...(ways === 0 ? [`offers no way on: ${words.slice(0, 120)}`] : []),
    ...(await axeFaults(page)),
  ]
}

for (const [name, width] of [
  ['at a desk', 1280],
  ['on a phone', 390],
] as const)
  test(`every room with nothing in it says so and leads on, ${name}`, async ({ app }) => {
    test.slow()
    await app.setViewportSize({ width, height: 844 })
    const found: string[] = []
    for (const address of rooms) {
      await app.goto(`${stack().address}${address}`)
      await settled(app)
      found.push(...(await faultsOf(app)).map(fault => `${address}: ${fault}`))
    }
    expect(found).toEqual([])
  })

test('an empty shelf, log, week and watch each say why and offer what fills them', async ({ app }) => {
  const told: [string, RegExp, RegExp][] = [
    ['/shelf', /shelf is empty/i, /write|import|desk|new/i],
    ['/log', /nothing|no recording/i, /watch|desk|import|carry/i],
    ['/weeks', /nothing|no session/i, /message|shelf|desk/i],
    ['/watches', /no watch|nothing|add/i, /add|watch/i],
  ]
  for (const [address, why, way] of told) {
    await app.goto(`${stack().address}${address}`)
    await settled(app)
    await expect(app.locator('.room')).toContainText(why)
    await expect(app.locator('.room').locator('a, button').filter({ hasText: way }).first()).toBeVisible()
  }
})

test('from nothing, one press shows the demo around today', async ({ app }) => {
  await app.goto(`${stack().address}/today`)
  await settled(app)
  await app.locator('[data-test=look-round]').click()
  await expect(app.locator('[data-test=today-session] h1')).toBeVisible({ timeout: 40_000 })
  await expect(app.locator('[data-test=on-watch]')).toContainText('on the Quay watch')
  await expect(app.locator('[data-test=week-glance] li')).toHaveCount(7)
})
