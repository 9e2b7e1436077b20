import type { Locator, Page } from '@playwright/test'
import { expect, kept, newSession, paste, script, test } from './page'

/** A person who was never here: how they move, on which screen. */
interface Newcomer {
  size: { width: number; height: number }
  hasTouch: boolean
  /** Presses what is there to be pressed. */
  press: (page: Page, part: Locator) => Promise<void>
}

/** Goes to something with the Tab key alone. */
async function tabTo(page: Page, part: Locator): Promise<void> {
  const isThere = () => part.evaluate(element => element === document.activeElement || element.contains(document.activeElement))
  for (let count = 0; count < 120 && !(await isThere()); count++) await page.keyboard.press('Tab')
  expect(await isThere()).toBe(true)
}

const ways: Record<string, Newcomer> = {
  'by pointer, on a desk': { size: { width: 1280, height: 800 }, hasTouch: false, press: (_, part) => part.click() },
  'by keys alone, on a desk': {
    size: { width: 1280, height: 800 },
    hasTouch: false,
    press: async (page, part) => {
      await tabTo(page, part)
      await page.keyboard.press('Enter')
    },
  },
  'by touch, on a phone': { size: { width: 390, height: 844 }, hasTouch: true, press: (_, part) => part.tap() },
}
const line = '1 min easy, 3 x (20 s @ 4:00-4:40 /km, 15 s jog), 1 min easy'
const atMost = 5 * 60_000

for (const [name, { size, hasTouch, press }] of Object.entries(ways)) {
  test(`a newcomer comes from the first look to the log within five minutes, ${name}`, async ({ app, browser }) => {
    const context = await browser.newContext({ baseURL: process.env.AGONIS_ADDRESS, viewport: size, hasTouch, locale: 'en-GB' })
    await context.addCookies(await app.context().cookies())
    const page = await context.newPage()
    const begun = Date.now()
    await page.goto('/desk/new')
    await expect(page.locator('[data-test=walk]')).toBeVisible()
    await press(page, page.locator('[data-test=no-walk]'))
    await expect(page.locator('[data-test=walk]')).toHaveCount(0)
    if (hasTouch) await script(page).tap()
    else await tabTo(page, script(page))
    await page.keyboard.type(line)
    await expect(page.locator('[data-test=total]')).toHaveText('3:45')
    await expect(kept(page)).toBeVisible()
    await press(page, page.locator('[data-test=send-to-watch]'))
    const send = page.locator('[data-test=send]')
    await expect(send).toBeEnabled()
    await press(page, send)
    await expect(page.locator('[data-test=receipt]')).toContainText('read back and equal')
    await press(page, page.getByRole('link', { name: 'To the stand-in watch' }))
    await expect(page.locator('[data-test=glass] .on')).toContainText('3 x')
    await expect(page.locator('[data-test=speed]')).toHaveValue('60')
    await press(page, page.locator('[data-test=top]'))
    await press(page, page.locator('[data-test=to-log]').last())
    await expect(page.locator('[data-test=upshot]')).toContainText('steps done')
    expect(Date.now() - begun).toBeLessThan(atMost)
    await context.close()
  })
}

test('the first walk leads through the Desk, can be left at each step, and comes again from Help', async ({ app }) => {
  await newSession(app)
  await app.click('[data-test=walk]')
  const step = app.locator('.el-tour__content').filter({ visible: true })
  await expect(step).toContainText('Write a line')
  await app.getByRole('button', { name: 'Next' }).click()
  await expect(step).toContainText('What it comes to')
  await app.locator('.el-tour__closebtn').filter({ visible: true }).click()
  await expect(step).toHaveCount(0)
  await expect(app.locator('[data-test=walk]')).toHaveCount(0)
  await app.goto('/help')
  await app.click('[data-test=walk-again]')
  await expect(step).toContainText('Write a line')
})

test('a session of repeats takes at most 45 keys, two presses to the receipt, and a week one paste and at most five answers', async ({
  app,
}) => {
  const typed = "15' easy, 9x500m @ 5k/2' jog, 10' easy"
  expect(typed.length + 1).toBeLessThanOrEqual(45)
  await newSession(app)
  await app.keyboard.type(typed)
  await expect(app.locator('[data-test=steps]')).toHaveText('19')
  await expect(app.locator('.sheet-question')).toHaveCount(0)
  await expect(kept(app)).toBeVisible()
  await app.click('[data-test=send-to-watch]')
  await app.click('[data-test=send]')
  await expect(app.locator('[data-test=receipt]')).toContainText('read back and equal')

  await app.goto('/weeks')
  await app.click('[data-test=fill]')
  await app
    .locator('[data-test=week-text]')
    .fill(
      [
        'Mon rest',
        'Tue 6x800m w/ 90" rest',
        'Wed 45 min easy',
        'Thu 3x9min 6:52-7:04/mi, 4min jog',
        'Fri off',
        'Sat 30 min easy + 6 x 20 s strides',
        'Sun 90 min easy',
      ].join('\n'),
    )
  await expect(app.locator('[data-test=fill-week]')).toBeVisible()
  await expect(app.locator('[data-test=message-line]').first()).toBeVisible()
  expect(await app.locator('[data-test=message-line] .said.ask').count()).toBeLessThanOrEqual(5)
})

test('a question is answered at its row, where the tools of the row are', async ({ app }) => {
  await newSession(app)
  await paste(app, 'WU 2 km, 4 x 5m hard w/ 90 s jog, CD 1 km')
  await expect(app.locator('.sheet-question')).toContainText('“5m” is read as 5:00')
  await app.locator('.sheet-question').getByRole('button', { name: '5:00' }).click()
  await expect(app.locator('.sheet-question')).toHaveCount(0)
  await expect(script(app)).toContainText('4 x 5:00 hard')
  await script(app).click()
  await expect(app.locator('[data-test=row-menu]')).toBeVisible()
})

test('earlier wordings are seen, and brought back as a change that can be undone', async ({ app }) => {
  await app.goto('/shelf')
  const id = crypto.randomUUID()
  await app.request.put(`/api/sessions/${id}`, { data: { base: 0, script: 'title Twice worded\nsport run\n\n10:00' } })
  await app.request.put(`/api/sessions/${id}`, { data: { base: 1, script: 'title Twice worded\nsport run\n\n10:00\n20:00' } })
  await app.goto(`/desk/${id}`)
  await expect(script(app)).toContainText('20:00')
  await app.click('[data-test=wordings]')
  const wording = app.locator('[data-test=wording]')
  await expect(wording).toHaveCount(1)
  await expect(wording).toContainText('since then 1 added, 0 gone')
  await wording.getByRole('button').first().click()
  await app.click('[data-test=take-wording]')
  await expect(script(app)).not.toContainText('20:00')
  await app.click('[data-test=undo]')
  await expect(script(app)).toContainText('20:00')
})
