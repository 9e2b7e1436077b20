import { choose, expect, expectAccessible, test } from './page'

test('days and times are said in the athlete’s form everywhere, and light or night is this browser’s', async ({ app }) => {
  await app.goto('/me')
  await expect(app.locator('[data-test=dates]')).toBeVisible()
  const dates = app.locator('[data-test=dates]')
  await dates.click()
  await app.getByRole('option', { name: /^\w{3} \d{4}-\d{2}-\d{2}$/ }).click()
  await expect(app.locator('[data-test=keeping]')).toHaveText('kept')
  await choose(app.locator('[data-test=clock]'), '6:30 pm')
  await expect(app.locator('[data-test=keeping]')).toHaveText('kept')
  await choose(app.locator('[data-test=mode]'), 'night')
  await expect(app.locator('html')).toHaveClass(/night/)
  expect(await app.evaluate(() => getComputedStyle(document.body).backgroundColor)).toBe('rgb(25, 22, 20)')
  await expectAccessible(app)

  await app.goto('/log')
  await expect(app.locator('[data-test=log] .day').first()).toHaveText(/^\w{3} \d{4}-\d{2}-\d{2}$/)
  await expect(app.locator('html')).toHaveClass(/night/)
  await app.getByRole('link', { name: 'Twelve threes' }).click()
  await expect(app.getByText(/\d{4}-\d{2}-\d{2}, \d{1,2}:\d{2} [ap]m/)).toBeVisible()

  await app.goto('/me')
  await dates.click()
  await app.getByRole('option', { name: /^\w{3} \d{1,2} \w{3} \d{4}$/ }).click()
  await choose(app.locator('[data-test=clock]'), '18:30')
  await expect(app.locator('[data-test=keeping]')).toHaveText('kept')
})

test('an address that leads nowhere has a page of ours, with the way on, wide and narrow', async ({ app }) => {
  const answer = await app.goto('/no-such-room')
  expect(answer?.status()).toBe(404)
  await expect(app.getByRole('heading', { name: 'There is nothing at this address' })).toBeVisible()
  await expectAccessible(app)
  await app.setViewportSize({ width: 390, height: 844 })
  await expect.poll(() => app.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  await app.getByRole('link', { name: 'Shelf' }).click()
  await expect(app).toHaveURL(/\/shelf$/)
})

test('every room is in sight on a phone, the first key leads past the navigation, and keys are told in each', async ({ app }) => {
  await app.setViewportSize({ width: 390, height: 844 })
  await app.goto('/shelf')
  await expect(app.locator('[data-test=row]').first()).toBeVisible()
  for (const link of await app.getByRole('navigation', { name: 'Rooms' }).getByRole('link').all()) {
    const box = (await link.boundingBox())!
    expect(box.x).toBeGreaterThanOrEqual(0)
    expect(box.x + box.width).toBeLessThanOrEqual(390)
    expect(box.height).toBeGreaterThanOrEqual(40)
  }
  await app.evaluate(() => (document.activeElement as HTMLElement | null)?.blur())
  await app.keyboard.press('Tab')
  await expect(app.getByRole('link', { name: 'To the room' })).toBeFocused()
  await app.keyboard.press('Enter')
  await app.keyboard.press('?')
  await expect(app.getByRole('dialog', { name: 'Keys' })).toContainText('A session on the shelf')
  await app.keyboard.press('Escape')
  await expect(app.getByRole('dialog', { name: 'Keys' })).toBeHidden()
})

test('a session on the shelf is gone to, tagged and removed by keys from its title, and removing is taken back', async ({ app }) => {
  await app.goto('/shelf')
  const titles = app.locator('[data-test=row-title]')
  await titles.first().focus()
  await app.keyboard.press('ArrowDown')
  await expect(titles.nth(1)).toBeFocused()
  const second = (await titles.nth(1).textContent())!
  await app.keyboard.press('t')
  await expect(app.locator('[data-test=tag]')).toBeVisible()
  await titles.nth(1).focus()
  await app.keyboard.press('Delete')
  await expect(app.getByText(`“${second}” is off the shelf.`)).toBeVisible()
  await app.click('[data-test=undo]')
  await expect(app.getByRole('link', { name: second, exact: true })).toBeVisible()
})

test('title and sport are changed in the head of the Desk, taken back and done again by buttons; the whole gets harder', async ({
  app,
}) => {
  const id = crypto.randomUUID()
  await app.goto('/shelf')
  const script = 'title Pier sixes\nsport run\n\nwarm-up 10:00\n3 times\n  6:00 @ 200-210 W\n  recovery 2:00\n'
  await app.request.put(`/api/sessions/${id}`, { data: { base: 0, script } })
  await app.goto(`/desk/${id}`)
  const words = app.locator('.cm-content')
  await app.click('[data-test=rename]')
  await app.fill('[data-test=title-field]', 'Pier sixes, again')
  await app.keyboard.press('Enter')
  await expect(words).toContainText('title Pier sixes, again')
  await expect(app.locator('[data-test=title]')).toHaveText('Pier sixes, again')
  await choose(app.locator('[data-test=desk-sport]'), 'ride')
  await expect(words).toContainText('sport ride')
  await app.click('[data-test=undo]')
  await expect(words).toContainText('sport run')
  await app.click('[data-test=redo]')
  await expect(words).toContainText('sport ride')
  await app.click('[data-test=whole-harder]')
  await expect(words).toContainText('6:00 @ 206-216.3 W')
  await expect(words).toContainText('recovery 2:00')
  await app.click('[data-test=undo]')
  await expect(words).toContainText('6:00 @ 200-210 W')
  await expect(app.locator('[data-test=keeping]', { hasText: 'kept,' })).toBeVisible()
})
