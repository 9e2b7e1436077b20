import type { Page } from '@playwright/test'
import { expect, newSession, test } from './page'

type Planned = { id: string; day: string; title: string }[]

const dayOf = (app: Page, index: number) => app.locator('.week > li').nth(index)
const isoOf = async (app: Page, index: number) => (await dayOf(app, index).getAttribute('data-day'))!

async function planned(app: Page, title: string): Promise<string | undefined> {
  const [from, to] = [await isoOf(app, 0), await isoOf(app, 6)]
  const rows = (await (await app.request.get(`/api/plan?from=${from}&to=${to}`)).json()) as Planned
  return rows.find(row => row.title === title)?.day
}

test('an entry dragged to another day is kept there', async ({ app }) => {
  await app.goto('/weeks')
  const days = app.locator('.week > li')
  await expect(days).toHaveCount(7)
  const thisWeek = await isoOf(app, 0)
  const next = async () => {
    await app.getByRole('button', { name: 'Week after' }).click()
    await expect(days.first()).not.toHaveAttribute('data-day', thisWeek)
  }
  await next()
  const { rows } = (await (await app.request.get('/api/sessions?limit=1&search=Quay')).json()) as { rows: { id: string; title: string }[] }
  const { id: session, title } = rows[0]!
  expect((await app.request.post('/api/plan', { data: { session, day: await isoOf(app, 2) } })).ok()).toBe(true)
  await app.reload()
  await next()
  const entry = dayOf(app, 2).locator('[data-test=entry]', { hasText: title })
  await expect(entry).toBeVisible()
  const target = 3
  const [start, end] = [(await entry.boundingBox())!, (await dayOf(app, target).locator('.entries').boundingBox())!]
  const answered = app.waitForResponse(response => response.url().endsWith('/api/plan/edits'))
  await app.mouse.move(start.x + start.width * 0.4, start.y + 6)
  await app.mouse.down()
  await app.mouse.move(end.x + 20, end.y + 4, { steps: 12 })
  await app.mouse.move(end.x + 24, end.y + 6, { steps: 4 })
  await app.mouse.up()
  expect((await answered).ok()).toBe(true)
  expect(await planned(app, title)).toBe(await isoOf(app, target))
  await app.reload()
  await next()
  await expect(dayOf(app, target).locator('[data-test=entry]', { hasText: title })).toBeVisible()
})

test('a week begins on the weekday the athlete has set', async ({ app }) => {
  await app.goto('/weeks')
  const { number, athlete } = (await (await app.request.get('/api/me')).json()) as { number: number; athlete: Record<string, unknown> }
  const keep = async (base: number, weekStart: number) =>
    (await (await app.request.put('/api/me', { data: { document: { ...athlete, weekStart }, base } })).json()) as { number: number }
  const set = await keep(number, 7)
  await app.reload()
  await expect(dayOf(app, 0).locator('h2')).toContainText('Sunday')
  await expect(dayOf(app, 6).locator('h2')).toContainText('Saturday')
  await keep(set.number, 1)
  await app.reload()
  await expect(dayOf(app, 0).locator('h2')).toContainText('Monday')
})

test('the page warns before it goes while words are kept nowhere', async ({ app }) => {
  await newSession(app)
  await app.evaluate(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('no room', 'QuotaExceededError')
    }
  })
  await app.route('**/api/**', route => route.abort())
  await app.keyboard.type('10:00 easy')
  await expect(app.locator('[data-test=keeping]')).not.toContainText('kept,')
  const warned = app.waitForEvent('dialog')
  await app.close({ runBeforeUnload: true })
  const dialog = await warned
  expect(dialog.type()).toBe('beforeunload')
  await dialog.accept()
})

test('words typed in the last moment of a page are there again, although the disk had not taken them', async ({ app }) => {
  await newSession(app)
  await app.evaluate(() => {
    IDBObjectStore.prototype.put = () => new Promise(() => {}) as unknown as IDBRequest<IDBValidKey>
  })
  await app.route('**/api/sessions/**', route => route.abort())
  app.on('dialog', dialog => void dialog.accept())
  await app.keyboard.type('sport run\n\n12:00 easy')
  await app.goto('/calculator')
  await app.unroute('**/api/sessions/**')
  await app.goto('/desk')
  await expect(app.locator('.cm-content')).toContainText('12:00 easy')
})

for (const [before, now] of [
  ['/wrist?watch=drawer', '/watches?watch=drawer'],
  ['/reckoner', '/calculator'],
  ['/watch', '/standin'],
  ['/watch/drawer', '/standin/drawer'],
])
  test(`a kept link to ${before} leads to ${now}`, async ({ app }) => {
    const response = await app.request.get(before!, { maxRedirects: 0 })
    expect(response.headers().location).toBe(now)
  })

test('a new session asks for nothing that is not there', async ({ app }) => {
  const missing: string[] = []
  app.on('response', response => {
    if (response.status() === 404) missing.push(response.url())
  })
  await newSession(app)
  await app.keyboard.type('10:00 easy')
  await expect(app.locator('[data-test=keeping]')).toContainText('kept,')
  expect(missing).toEqual([])
})
