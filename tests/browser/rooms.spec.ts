import { actOn, expect, expectAccessible, test, tick } from './page'

test('the shelf opens, copies, removes and brings back', async ({ app }) => {
  await app.goto('/shelf')
  await app.fill('[data-test=search]', 'quay lad')
  const rows = app.locator('[data-test=shelf] [data-test=row]')
  await expect(rows).toHaveCount(1)
  await actOn(app, 'Quay ladder', 'Copy')
  await expect(app.locator('[data-test=title]')).toHaveText('Quay ladder 2')
  await app.goto('/shelf')
  await app.fill('[data-test=search]', 'quay lad')
  await expect(rows).toHaveCount(2)
  await actOn(app, 'Quay ladder 2', 'Remove')
  await expect(rows).toHaveCount(1)
  await app.click('[data-test=undo]')
  await expect(rows).toHaveCount(2)
  await app.fill('[data-test=search]', 'no such thing')
  await expect(app.getByText('Nothing on the shelf has that in it: looked for sessions with “no”')).toBeVisible()
})

test('a number changed in Me is kept, a wrong one is said and is not', async ({ app }) => {
  await app.goto('/me')
  const power = app.locator('#ride-power')
  await expect(power).toHaveValue('215')
  await power.fill('5')
  await expect(app.getByText('Critical power: a number from 50 to 700 W')).toBeVisible()
  await power.fill('221')
  await expect(app.locator('[data-test=keeping]')).toHaveText('kept')
  await app.reload()
  await expect(power).toHaveValue('221')
})

test('a number typed a moment before the page goes is not lost, nor is a wrong one', async ({ app }) => {
  await app.goto('/me')
  await expect(app.locator('#heart-rest')).toHaveValue('50')
  await app.locator('#heart-rest').fill('48')
  await app.locator('#heart-max').fill('999')
  await app.reload()
  await expect(app.locator('#heart-rest')).toHaveValue('48')
  await expect(app.locator('#heart-max')).toHaveValue('999')
  await expect(app.getByText('Maximum: a number from 100 to 230 bpm')).toBeVisible()
  await app.locator('#heart-max').fill('182')
  await expect(app.locator('[data-test=keeping]')).toHaveText('kept')
  await expect.poll(() => app.evaluate(() => Object.keys(localStorage).filter(key => key.startsWith('agonis.typed.')))).toEqual([])
})

test('a watch that cannot hold a session says every loss before sending', async ({ app }) => {
  await app.goto('/shelf')
  await app.fill('[data-test=search]', 'Kick and pull')
  await app.getByRole('link', { name: 'Kick and pull', exact: true }).click()
  await app.click('[data-test=send-to-watch]')
  await tick(app, 'Drawer watch')
  await expect(app.getByText('this watch knows no swim')).toBeVisible()
  await expect(app.locator('[data-test=send]')).toBeDisabled()
})

test('the log shows the badly paced session for what it was', async ({ app }) => {
  await app.goto('/log')
  await app.getByRole('link', { name: 'Twelve threes' }).click()
  await expect(app.locator('[data-test=upshot]')).toContainText('25 of 25 steps done')
  await expect(app.locator('[data-test=upshot]')).toContainText('too fast')
  await tick(app, 'something hurt')
  await expect(app.getByText('ask a doctor or physiotherapist')).toBeVisible()
  await tick(app, 'something hurt')
  await app.emulateMedia({ media: 'print' })
  await expect(app.locator('[data-test=choose-step]').first()).toBeVisible()
  await expect(app.locator('.onpaper', { hasText: /^Effort \d+ of 10/ })).toBeVisible()
})

test('the log is narrowed to one session among those that are in it, and stays so over a reload', async ({ app }) => {
  await app.goto('/log')
  await expect(app.locator('[data-test=row]')).toHaveCount(24)
  await app.locator('[data-test=log-narrow]').click()
  await app.locator('[data-test=log-family]').click()
  await app.getByRole('option', { name: /^Twelve threes · \d+$/ }).click()
  await app.waitForURL(/\?family=/)
  const titles = app.locator('[data-test=row] a')
  await expect(titles).not.toHaveCount(24)
  expect(new Set(await titles.allInnerTexts())).toEqual(new Set(['Twelve threes']))
  await app.reload()
  await expect(app.locator('[data-test=log-family]')).toContainText('Twelve threes')
  await app.locator('[data-test=log-all]').click()
  await expect(titles).toHaveCount(24)
})

test('what every room asks first is asked once, by the page itself', async ({ app }) => {
  for (const address of ['/desk', '/today']) {
    await app.goto(address)
    await expect(app.locator('h1').first()).toBeVisible()
    const asked = await app.evaluate(() =>
      (performance.getEntriesByType('resource') as PerformanceResourceTiming[])
        .filter(({ name }) => name.endsWith('/api/me'))
        .map(({ initiatorType }) => initiatorType),
    )
    expect(asked, address).toEqual(['link'])
  }
})

test('an address that leads nowhere says so', async ({ app }) => {
  await app.goto('/log/00000000-0000-4000-8000-000000000000')
  await expect(app.getByRole('alert')).toContainText('There is no such recording.')
  await app.goto('/desk/00000000-0000-4000-8000-000000000000')
  await expect(app.getByRole('alert')).toContainText('There is no such session.')
})

test('axe finds nothing on the desk with a session, wide or narrow, and nothing runs out of a narrow window', async ({ app }) => {
  await app.goto('/shelf')
  await app.getByRole('link', { name: 'Quay ladder', exact: true }).click()
  await expect(app.locator('[data-test=title]')).toHaveText('Quay ladder')
  await app.goto('/desk')
  await expect(app.locator('h1')).toBeVisible()
  await expect(app.locator('.cm-line').first()).toBeAttached()
  await expectAccessible(app)
  await app.setViewportSize({ width: 390, height: 844 })
  await expect.poll(() => app.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  await expectAccessible(app)
})

test('what was done is passed on in words that read back at the Desk', async ({ app }) => {
  await app.goto('/log')
  await app.getByRole('link', { name: 'Twelve threes' }).click()
  await app.locator('[data-test=pass-on] summary').click()
  const words = (await app.locator('[data-test=as-run]').textContent())!
  expect(words).toMatch(/=> .*held \d+ %/)
  await app.goto('/desk/new')
  await expect(app.locator('.cm-content')).toBeFocused()
  await app.keyboard.insertText(words)
  await expect(app.locator('[data-test=steps]')).not.toHaveText('0')
  await expect(app.locator('.sheet-error')).toHaveCount(0)
})
