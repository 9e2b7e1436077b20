import { expect, kept, newSession, script, test } from './page'

const first = '16 min easy, 2 x (4 x (90 s @ 102-106 %CP, 1 min easy)) '
const rest = '/ 4 min easy, 12 min easy'

test('one line of text goes to the watch and comes back as a log, with a reload in the middle of typing', async ({ app }) => {
  await newSession(app)
  await app.keyboard.type(first)
  await app.reload()
  await expect(script(app)).toContainText('2 x (4 x (90 s @ 102-106 %CP')
  await script(app).click()
  await app.keyboard.press('Control+End')
  await app.keyboard.type(rest)

  await expect(app.locator('[data-test=total]')).toHaveText('52 min')
  await expect(app.locator('[data-test=fixed]')).toHaveText('52:00 fixed')
  await expect(app.locator('[data-test=steps]')).toHaveText('19')
  await app.keyboard.press('Alt+Enter')
  await expect(app.locator('.cm-line', { hasText: '2 times, drop last recovery' })).toBeVisible()
  await expect(app.locator('.cm-line')).toHaveCount(7)
  await expect(kept(app)).toBeVisible()

  await app.click('[data-test=send-to-watch]')
  await expect(app.getByText('Everything fits as written.')).toBeVisible()
  await app.click('[data-test=send]')
  await expect(app.locator('[data-test=receipt]')).toContainText('read back and equal')

  await app.getByRole('link', { name: 'See it step by step' }).click()
  await expect(app.locator('[data-test=compared]')).toHaveText('● equal, step by step')
  await expect(app.locator('.rows tbody tr')).toHaveCount(7)

  await app.getByRole('link', { name: 'its glass and buttons' }).click()
  await expect(app.locator('[data-test=glass]')).toContainText('2 x 4 x 1:30')
  await expect(app.locator('[data-test=speed]')).toHaveValue('60')
  const chosen = app.locator('[data-test=glass] .on')
  await expect(async () => {
    if ((await chosen.textContent()) !== '2 x 4 x 1:30 @ 102-106 %CP') await app.click('[data-test=bottom]')
    await expect(chosen).toHaveText('2 x 4 x 1:30 @ 102-106 %CP', { timeout: 500 })
  }).toPass()
  await app.click('[data-test=top]')
  await expect(app.locator('[data-test=glass]')).toContainText('warm-up 16:00')
  await expect(app.locator('[data-test=glass]')).toContainText('rep 1 of 4', { timeout: 40_000 })
  await expect(app.locator('[data-test=glass]')).toContainText('set 2 of 2', { timeout: 40_000 })
  await app.locator('[data-test=to-log]').last().click({ timeout: 60_000 })

  await expect(app.locator('[data-test=upshot]')).toContainText('19 of 19 steps done')
  await expect(app.locator('[data-test=beside] tbody tr')).toHaveCount(19)
  await expect(app.locator('canvas')).toBeVisible()
  await app.getByRole('link', { name: 'Log', exact: true }).click()
  await expect(app.locator('[data-test=log] [data-test=row]').first()).toContainText('19 of 19')
})
