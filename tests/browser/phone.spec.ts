import type { Page } from '@playwright/test'
import { choose, expect, expectAccessible, test, tick } from './page'

test.use({ viewport: { width: 390, height: 844 } })

async function takenAlong(app: Page, title: string, text: string): Promise<void> {
  await app.goto('/phone')
  await app.request.put(`/api/sessions/${crypto.randomUUID()}`, { data: { base: 0, script: `title ${title}\n${text}` } })
  await app.reload()
  await choose(app.locator('[data-test=pick]'), new RegExp(`^${title}`))
  await app.click('[data-test=take]')
  await expect(app.getByText(`“${title}” is on this phone`)).toBeVisible()
}
const glass = (app: Page) => app.locator('[data-test=glass]')

async function tried(app: Page, speed: number): Promise<void> {
  await tick(app, 'simulated ones')
  await app.fill('[data-test=speed]', String(speed))
}

test('a phone without a server opens, leads through a session, and brings the recording home when the server is back', async ({ app }) => {
  await takenAlong(app, 'Island loop', 'sport run\n\nwarm-up 0:30\n2 times\n  0:30 @ 4:20-4:50 /km\n  recovery 0:20\n')
  await expect
    .poll(() => app.evaluate(async () => navigator.serviceWorker.controller !== null && (await caches.match('/phone')) !== undefined), {
      timeout: 30_000,
    })
    .toBe(true)
  await app.context().setOffline(true)
  await app.reload()
  await expect(app.locator('[data-test=offline]')).toBeVisible()
  await expect(glass(app)).toContainText('Island loop')
  await expectAccessible(app)
  await tried(app, 40)
  await app.click('[data-test=top]')
  await expect(glass(app)).toContainText('rep 1 of 2')
  await expect(glass(app)).toContainText('/km')
  await expect(app.locator('[data-test=waiting]')).toContainText('1 recording waits on this phone until the server is back', {
    timeout: 20_000,
  })
  await app.context().setOffline(false)
  await app.locator('[data-test=to-log]').click({ timeout: 20_000 })
  await expect(app.locator('[data-test=upshot]')).toContainText('5 of 5 steps done')
})

test('a run survives its page: opened again it goes on, and the recording has all of it', async ({ app }) => {
  await takenAlong(app, 'Quay crash', 'sport run\n\n2:00\n1:00 @ 4:20-4:50 /km\n')
  await tried(app, 20)
  await app.click('[data-test=top]')
  await expect(glass(app)).toContainText(/^2:00/)
  await expect(app.locator('[data-test=figure]')).toHaveText(/^1:[0-3]/, { timeout: 20_000 })
  const again = await app.context().newPage()
  await app.close({ runBeforeUnload: false })
  await again.goto('/phone')
  await expect(again.locator('[data-test=gap]')).toContainText('The page was away and goes on')
  await expect(glass(again)).not.toContainText('Quay crash')
  await again.locator('[data-test=top]').click()
  await expect(glass(again)).toContainText('paused')
  await again.locator('[data-test=bottom]').click({ delay: 900 })
  await again.locator('[data-test=to-log]').click({ timeout: 20_000 })
  await expect(again.locator('[data-test=upshot]')).toContainText('of 2 steps')
  await again.close()
})

test('position makes way and pace, filtered', async ({ app }) => {
  await app.context().grantPermissions(['geolocation'])
  let metres = 0
  const move = () => app.context().setGeolocation({ latitude: 58.9 + metres / 111_195, longitude: 5.6, accuracy: 4 })
  await move()
  await takenAlong(app, 'Round the quay', 'sport run\n\n100 m\n5:00\n')
  await app.click('[data-test=top]')
  await expect(glass(app)).toContainText('100 m')
  await expect
    .poll(
      async () => {
        metres += 4
        await move()
        return await app.locator('[data-test=figure]').textContent()
      },
      { intervals: [700], timeout: 40_000 },
    )
    .toMatch(/^[1-6]\d m$/)
  await app.locator('[data-test=top]').click()
  await app.locator('[data-test=bottom]').click({ delay: 900 })
  await expect(app.getByRole('heading', { name: 'This phone as a watch' })).toBeVisible()
})

test('three buttons are enough to begin in the middle, jump, look and end', async ({ app }) => {
  await takenAlong(app, 'Only the last three', 'sport run\n\n1:00\n6 times\n  0:40 @ 4:20-4:50 /km\n  recovery 0:20\n')
  await tried(app, 1)
  await app.click('[data-test=middle]')
  await expect(glass(app)).toContainText('only the last 3 of 6: ')
  await app.click('[data-test=bottom]')
  await app.click('[data-test=bottom]')
  await expect(glass(app).locator('.on')).toContainText('only the last 3 of 6: ')
  await app.click('[data-test=top]')
  await expect(glass(app)).toContainText('rep 4 of 6')
  await app.click('[data-test=bottom]')
  await expect(app.locator('[data-test=look]')).toContainText('4:20-4:50 /km')
  await app.click('[data-test=bottom]')
  await app.locator('[data-test=middle]').click({ delay: 900 })
  await expect(glass(app)).toContainText('recovery 0:20')
  await app.click('[data-test=top]')
  await expect(glass(app)).toContainText('paused')
  await app.locator('[data-test=bottom]').click({ delay: 900 })
  await expect(app.getByRole('heading', { name: 'This phone as a watch' })).toBeVisible()
})
