import type { Page } from '@playwright/test'
import { expect, expectAccessible, newSession, paste, script, test } from './page'

const remarks = (app: Page) => app.getByRole('region', { name: 'Remarks' })
const lesson = (app: Page) => app.locator('[data-test=lesson]')

/** Forgets every word, whatever a test before has taught. */
async function forgetAll(app: Page): Promise<void> {
  await app.goto('/me')
  const { number, athlete } = (await (await app.request.get('/api/me')).json()) as { number: number; athlete: Record<string, unknown> }
  const { words: _, ...document } = athlete
  expect((await app.request.put('/api/me', { data: { base: number, document } })).ok()).toBe(true)
}
const wordsOf = async (app: Page) =>
  ((await (await app.request.get('/api/me')).json()) as { athlete: { words?: object[] } }).athlete.words ?? []

test('an answer kept is used in the next message, with a note, and can be forgotten', async ({ app }) => {
  await forgetAll(app)
  await newSession(app)
  await paste(app, 'WU 2 km, 4 x 5m hard w/ 90 s jog, CD 1 km')
  await expect(remarks(app)).toContainText('Which unit?')
  await remarks(app).getByRole('button', { name: '5:00', exact: true }).click()
  await expect(script(app)).toContainText('4 x 5:00 hard')
  await expect(lesson(app)).toContainText('5m is 5 min')
  await lesson(app).getByRole('button', { name: 'Keep the answer' }).click()
  await expect(lesson(app)).toHaveCount(0)
  expect(await wordsOf(app)).toEqual([{ said: '5m', means: '5 min' }])

  await newSession(app)
  await paste(app, '6 x 8m w/ 2 min jog')
  await app.click('[data-test=noted]')
  await expect(remarks(app)).toContainText('8 min, one of your words')
  await expect(remarks(app)).not.toContainText('Which unit?')
  await app.reload()
  await app.click('[data-test=noted]')
  await expect(remarks(app)).toContainText('8 min, one of your words')

  await app.goto('/me#words')
  const own = app.getByRole('region', { name: 'Your words' })
  await expect(own.locator('[data-test=own-words]')).toContainText('5m')
  await own.getByRole('button', { name: 'Forget 5m' }).click()
  await expect(own.locator('[data-test=own-words]')).toHaveCount(0)
  expect(await wordsOf(app)).toEqual([])
  await app.goto('/desk')
  await newSession(app)
  await paste(app, '6 x 8m w/ 2 min jog')
  await expect(remarks(app)).toContainText('Which unit?')
})

test('an answer only for once teaches nothing', async ({ app }) => {
  await forgetAll(app)
  await newSession(app)
  await paste(app, '20 min tempo')
  await remarks(app).getByRole('button', { name: 'threshold effort' }).click()
  await lesson(app).getByRole('button', { name: 'Only this once' }).click()
  await expect(lesson(app)).toHaveCount(0)
  await expect(script(app)).toContainText('20 min @ threshold effort')
  expect(await wordsOf(app)).toEqual([])
})

test('words read as nothing are given a meaning where they stand', async ({ app }) => {
  await forgetAll(app)
  await newSession(app)
  await paste(app, '2 km easy, 4 x 1 km @ 10k pace, sound lap')
  await remarks(app).getByRole('button', { name: 'Say what it means' }).click()
  const form = app.getByRole('form', { name: 'What sound lap means' })
  await form.getByRole('textbox').fill('as ever')
  await expect(form).toContainText('says no length')
  await expect(form.getByRole('button', { name: 'Keep' })).toBeDisabled()
  await form.getByRole('textbox').fill('1.5 km easy')
  await expect(form).toContainText('Reads as 1.5 km @ easy effort')
  await expectAccessible(app)
  await form.getByRole('textbox').press('Enter')
  await app.click('[data-test=noted]')
  await expect(remarks(app)).toContainText('1.5 km easy, one of your words')
  expect(await wordsOf(app)).toEqual([{ said: 'sound lap', means: '1.5 km easy' }])
})

test('an answer in a week is offered too, and a word can be added by hand', async ({ app }) => {
  await forgetAll(app)
  await app.goto('/me#words')
  const own = app.getByRole('region', { name: 'Your words' })
  await own.locator('[data-test=own-said]').fill('Quay loop')
  await own.locator('[data-test=own-means]').fill('3.2 km easy')
  await expect(own).toContainText('Reads as 3.2 km @ easy effort')
  await own.getByRole('button', { name: 'Keep' }).click()
  await expect(own.locator('[data-test=own-words]')).toContainText('3.2 km easy')
  await expectAccessible(app)

  await app.goto('/weeks')
  await app.locator('[data-test=fill]').click()
  await app.locator('[data-test=week-text]').fill('Tue: Quay loop\nThu: 4 x 6m / 1 min jog')
  await expect(app.locator('[data-test=message-line]').first()).not.toContainText('not read')
  await app.getByRole('button', { name: 'Line 2: 6:00' }).click()
  await lesson(app).getByRole('button', { name: 'Keep the answer' }).click()
  await expect(lesson(app)).toHaveCount(0)
  expect(await wordsOf(app)).toEqual([
    { said: 'Quay loop', means: '3.2 km easy' },
    { said: '6m', means: '6 min' },
  ])
  await forgetAll(app)
})
