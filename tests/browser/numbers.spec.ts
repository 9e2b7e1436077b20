import type { Page } from '@playwright/test'
import { choose, expect, expectAccessible, kept, newSession, paste, script, test } from './page'

interface Kept {
  number: number
  athlete: Record<string, unknown>
}

/** The athlete's numbers as they were before each test, brought back behind it. */
let before: Kept | null = null
const athleteNow = async (page: Page) => (await (await page.request.get('/api/me')).json()) as Kept
async function setAthlete(page: Page, document: Record<string, unknown>): Promise<void> {
  const { number } = await athleteNow(page)
  const response = await page.request.put('/api/me', { data: { base: number, document } })
  expect(response.status()).toBe(200)
}
test.beforeEach(async ({ app }) => {
  await app.goto('/calculator')
  before = await athleteNow(app)
})
test.afterEach(async ({ app }) => setAthlete(app, before!.athlete))

async function write(page: Page, text: string): Promise<void> {
  await newSession(page)
  await paste(page, text)
}
const nudges = async (page: Page) => Number(await page.locator('[data-test=nudges-total]').textContent())
const comesTo = (page: Page) => page.locator('.sheet-comes').first()

test('a benchmark changed in Me is seen at the Desk at once, in another tab', async ({ app }) => {
  await write(app, 'sport run\n\n5 km @ 5k effort\n')
  await expect(comesTo(app)).toContainText('/km')
  const then = await comesTo(app).textContent()
  const me = await app.context().newPage()
  await me.goto('/me')
  await me.fill('[data-test=effort-amount]', '5 km')
  await me.fill('[data-test=effort-time]', '20:00')
  await me.click('[data-test=effort-add]')
  await expect(me.locator('[data-test=efforts]')).toContainText('20:00')
  await expect(comesTo(app)).not.toHaveText(then!)
  await expect(comesTo(app)).toContainText('3:5')
  await me
    .getByRole('button', { name: /Remove the effort of/ })
    .first()
    .click()
  await expect(comesTo(app)).toHaveText(then!)
  await me.click('[data-test=effort-undo]')
  await expect(comesTo(app)).toContainText('3:5')
})

test('taking the quiet band lowers the forecast, and one key takes it back', async ({ app }) => {
  await write(app, 'sport run\n\n4 times\n  6:00 @ 4:20-4:26 /km\n  recovery 1:30\n3 km @ 4:50-4:54 /km\n')
  await expect(app.locator('[data-test=take-quiet]')).toBeVisible()
  const noisy = await nudges(app)
  expect(noisy).toBeGreaterThan(10)
  await script(app).focus()
  await app.keyboard.press('Alt+q')
  await expect(app.getByText('Quiet: no more than about one nudge in five minutes.')).toBeVisible()
  expect(await nudges(app)).toBeLessThan(noisy / 4)
  await script(app).focus()
  await app.keyboard.press('Control+z')
  await expect(script(app)).toContainText('4:20-4:26 /km')
  await expect(script(app)).toContainText('4:50-4:54 /km')
  await expect.poll(() => nudges(app)).toBe(noisy)
})

test('ten thousand times are reckoned with the page still answering, and can be stopped', async ({ app }) => {
  await write(app, 'sport run\n\n30 times\n  6:00 @ 4:20-4:26 /km\n  recovery 1:30\n')
  await app.click('[data-test=many-runs]')
  const nudging = app.locator('[data-test=nudges]')
  await expect(nudging.getByText(/reckoning… +\d+ %/)).toBeVisible()
  await script(app).focus()
  await app.keyboard.press('Control+End')
  await app.keyboard.type('5:00')
  await expect(script(app)).toContainText('5:00')
  await expect(nudging.getByText(/Carried out 400 times/)).toBeVisible()
  await app.click('[data-test=many-runs]')
  await nudging.getByRole('button', { name: 'stop' }).click()
  await expect(nudging.getByText('reckoning…')).toHaveCount(0)
})

test('what is too much is said with what would help, and a proposal is taken', async ({ app }) => {
  await write(app, 'sport ride\n\nwarm-up 15:00\n10 times, drop last recovery\n  2:00 @ 130-135 %CP\n  recovery 1:00\ncool-down 10:00\n')
  const verdict = app.locator('[data-test=verdict]')
  await expect(verdict).toContainText('Beyond what you have shown')
  await expect(app.locator('[data-test=how-hard]')).toContainText('ask a doctor or physiotherapist')
  await app.locator('[data-test=proposal-take]', { hasText: 'rest' }).click()
  await expect(verdict).not.toContainText('Beyond')
  await expect(script(app)).not.toContainText('recovery 1:00')
  await app.locator('[data-test=how-hard] summary').click()
  await expect(app.locator('[data-test=forecast-table] tbody tr')).toHaveCount(21)
})

test('a missing number is asked for in place, and what it was needed for appears', async ({ app }) => {
  const { athlete } = before!
  await setAthlete(app, { ...athlete, run: undefined, ride: undefined, efforts: [], heart: undefined })
  await write(app, 'sport ride\n\n6 times\n  2:00 @ 125-130 %CP\n  recovery 1:00\n')
  const asked = app.locator('[data-test=ask-number]', { hasText: 'Critical power' })
  await expect(asked.first()).toBeVisible()
  await app.locator('[data-test=ask-ride-power]').first().fill('much')
  await asked.first().locator('[data-test=ask-keep]').click()
  await expect(app.getByText(/Critical power: a number from/).first()).toBeVisible()
  await app.locator('[data-test=ask-ride-power]').first().fill('215')
  await asked.first().locator('[data-test=ask-keep]').click()
  await expect(app.locator('[data-test=verdict]')).toContainText('of what a race would take')
  await write(app, 'sport run\n\n5 km @ 5k effort\n')
  await expect(app.getByText('Needs a run race or time trial.')).toBeVisible()
  await app.fill('[data-test=ask-distance]', '10')
  await app.fill('[data-test=ask-time]', '47:00')
  await app.click('[data-test=ask-keep]')
  await expect(comesTo(app)).toContainText('/km')
  await app.reload()
  await expect(comesTo(app)).toContainText('/km')
})

test('when one is home, and when to start to be home', async ({ app }) => {
  await write(app, 'sport run\n\n60:00 @ easy effort\n')
  await app.fill('[data-test=start-at]', '6:30')
  await expect(app.locator('[data-test=back-at]')).toHaveText('home 07:30')
  await app.fill('[data-test=home-by]', '7.15')
  await expect(app.locator('[data-test=start-for]')).toHaveText('start 06:15')
  await app.fill('[data-test=home-by]', 'late')
  await expect(app.locator('[data-test=start-for]')).toHaveText('a time as in 07:30')
})

test("a test is entered in Me and its numbers follow; zones of one's own are kept", async ({ app }) => {
  await app.goto('/me')
  const pool = app.locator('[data-test=test-swim-pair]')
  await pool.locator('summary').click()
  await expect(pool).toContainText('ask a doctor first')
  await app.fill('[data-test=swim-pair-short-time]', '3:20')
  await app.fill('[data-test=swim-pair-long-time]', '6:00')
  await expect(pool).toContainText('the 400 m slower than twice the 200 m')
  await app.fill('[data-test=swim-pair-long-time]', '6:56')
  await expect(pool).toContainText('critical swim speed 1:48 /100m')
  await pool.getByRole('button', { name: 'Keep it' }).click()
  await expect(app.locator('[data-test=efforts]')).toContainText('6:56')
  await expect(app.locator('#swim-critical')).toHaveValue('1:48')

  await choose(app.locator('[data-test=zone-sport]'), 'ride')
  await choose(app.locator('[data-test=zone-of]'), 'power')
  await choose(app.locator('[data-test=zone-scheme]'), 'own')
  await app.fill('[data-test=zone-bounds]', '160, 150')
  await app.click('[data-test=zone-keep]')
  await expect(app.getByText('Each bound is harder than the one before.')).toBeVisible()
  await app.fill('[data-test=zone-bounds]', '150, 200')
  await app.click('[data-test=zone-keep]')
  await expect(app.getByText('150–200 W')).toBeVisible()
  await expect(app.locator('[data-test=history]')).toContainText('zones')
  await write(app, 'sport ride\n\n20:00 @ zone 2 of own power\n')
  await expect(comesTo(app)).toHaveText('150-200 W')
})

test('steadiness is learnt from the recordings there are', async ({ app }) => {
  await app.goto('/me')
  await app.click('[data-test=learn]')
  await app.getByRole('button', { name: 'Take the steadiness learnt for the ride' }).click()
  await expect(app.locator('[data-test=steadiness] tr', { hasText: 'ride' })).toContainText('your recordings')
})

test('the reckoner goes both ways, and a number is dropped into the Desk', async ({ app }) => {
  await app.goto('/calculator')
  await expect(app.locator('[data-test=speed]')).toHaveValue('4:42')
  await app.fill('[data-test=speed]', '4:30')
  await expect(app.locator('[data-test=distance]')).toHaveValue(/10[.\d]* km/)
  await app.fill('[data-test=distance]', '5 km')
  await expect(app.locator('[data-test=time]')).toHaveValue('22:30')
  await app.fill('[data-test=distance]', 'far')
  await expect(app.getByText('A distance as in 10 km, 400 m or 6 mi.')).toBeVisible()
  await app.fill('[data-test=distance]', '5 km')
  await choose(app.locator('[data-test=pacing]'), 'second half faster')
  await expect(app.locator('[data-test=splits] tbody tr').last()).toContainText('22:30')
  await expect(app.locator('[data-test=lanes] tbody tr').nth(1)).toContainText('407.0')
  await newSession(app)
  await app.keyboard.type('sport run\n\n10:00 easy')
  await expect(kept(app)).toBeVisible()
  await app.goto('/calculator')
  await app.click('[data-test=drop-movement]')
  await expect(script(app)).toContainText('10 km @ 4:42 /km')
  await app.goto('/calculator')
  await app.getByRole('button', { name: '6 % to the Desk' }).click()
  await expect(script(app)).toContainText('10:00 uphill 6 % @ 6:26 /km')
  await app.goto('/calculator')
  await app.getByRole('button', { name: 'Lane 3 to the Desk' }).click()
  await expect(script(app)).toContainText('place track, lane 3')
  await app.goto('/calculator')
  await app.fill('[data-test=time]', '1:20:00')
  await app.click('[data-test=drop-fuel]')
  await expect(script(app)).toContainText('prompt drink from 40:00 every 20:00')
  await expect(app.locator('[data-test=steps]')).toHaveText('3')
  await expect(app.locator('.sheet-error')).toHaveCount(0)
})

test('nothing in Me, the Calculator or the forecast stands in the way of a screen reader', async ({ app }) => {
  await app.goto('/me')
  await expect(app.locator('[data-test=numbers]').first()).toBeVisible()
  await expectAccessible(app)
  for (const sport of ['run', 'ride', 'swim']) {
    await app.goto('/calculator')
    await choose(app.locator('[data-test=sport]'), sport)
    await expectAccessible(app)
  }
  await write(app, 'sport ride\n\n6 times\n  2:00 @ 125-130 %CP\n  recovery 1:00\n')
  await expect(app.locator('[data-test=take-quiet]')).toBeVisible()
  for (const summary of await app.locator('.side summary').all()) await summary.click()
  await expectAccessible(app)
})
