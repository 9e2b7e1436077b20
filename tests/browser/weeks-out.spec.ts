import type { Page } from '@playwright/test'
import { readIcs } from '../../core/exchange/read-ics'
import { daysFrom, weekOf } from '../../core/quantity/day'
import type { KeptWatch, WatchState } from '../../shared/api'
import type { PlanSpan } from '../../shared/plan'
import { expect, ownStack, settled, test } from './page'

/** A demo of its own: its plan goes to watches, papers and other calendars. */
const stack = ownStack('out', true)

const open = async (app: Page, path: string) => {
  await app.goto(`${stack().address}${path}`)
  await settled(app)
}
const get = async <T>(app: Page, path: string) => (await (await app.request.get(`${stack().address}/api${path}`)).json()) as T
const spanned = (app: Page, from: string, to: string) => get<PlanSpan>(app, `/plan/span?from=${from}&to=${to}`)
async function todayHere(app: Page) {
  await open(app, '/weeks')
  const { today } = await spanned(app, '2026-01-01', '2026-01-02')
  return { today, week: weekOf(today, 1) }
}
const weekOn = async (app: Page, day: string) => {
  await app.getByLabel('Jump to a day').fill(day)
  await app.getByLabel('Jump to a day').press('Enter')
  await expect(app.locator(`.week > li[data-day="${day}"]`)).toBeVisible()
}
/** An address is shown by the name that the browser asked by. */
const fetched = async (app: Page, address: string) => (await app.request.get(address)).text()

test('next week’s harder copy is variants of the sessions, and comes to the watch', async ({ app }) => {
  const { today, week } = await todayHere(app)
  const [from, to] = [daysFrom(week, 7), daysFrom(week, 13)]
  const sessionsOf = async (first: string, last: string) =>
    (await spanned(app, first, last)).entries.filter(({ kind }) => kind === 'session')
  for (const { id } of (await spanned(app, from, to)).entries)
    await app.request.delete(`${stack().address}/api/plan/${id}`, { headers: { origin: stack().address } })
  const before = await sessionsOf(week, daysFrom(week, 6))
  await app.locator('[data-test=whole-week]').click()
  await app.locator('[data-test=copy-harder]').click()
  await expect(app.locator('[data-test=plan-undo]')).toContainText('a little harder')
  const copies = await sessionsOf(from, to)
  expect(copies).toHaveLength(before.length)
  const changed = copies.filter((copy, index) => copy.sessionId !== before[index]!.sessionId)
  expect(changed.length).toBeGreaterThan(before.length / 2)
  const nearest = copies.find(({ day, sessionId }) => day <= daysFrom(today, 6) && changed.some(one => one.sessionId === sessionId))!
  await open(app, '/watches')
  await app.getByRole('button', { name: 'Quay watch' }).click()
  await app.locator('[data-test=dry-run]').click()
  await app.locator('[data-test=push]').click()
  const quay = (await get<KeptWatch[]>(app, '/watches')).find(({ name }) => name === 'Quay watch')!
  const held = async () => (await get<WatchState>(app, `/watches/${quay.id}/state`)).rows.map(({ should }) => should?.sessionId)
  await expect.poll(held, { timeout: 60_000 }).toContain(nearest.sessionId)
})

test('the hour of pushing is set, shown by the athlete’s clock, and seen ahead in Weeks', async ({ app }) => {
  await open(app, '/watches')
  await app.getByRole('button', { name: 'Quay watch' }).click()
  await app.locator('[data-test=push-hour]').fill('530x')
  await expect(app.getByText('A time as in 05:30.')).toBeVisible()
  await app.locator('[data-test=push-hour]').fill('05:30')
  await app.locator('[data-test=set-hour]').click()
  await expect(app.locator('[data-test=next-push]')).toHaveText(/next on .*05:30/)
  await open(app, '/weeks')
  const ahead = app.locator('[data-test=ahead]')
  await expect(ahead).toContainText('It goes by itself at 05:30.')
  const quay = ahead.locator('.one', { hasText: 'Quay watch' })
  await quay.locator('summary').click()
  await expect(quay.locator('dd').first()).toContainText('slot')
})

test('an address is made for another calendar, reads what was moved, and is ended', async ({ app }) => {
  const { week } = await todayHere(app)
  await weekOn(app, daysFrom(week, 7))
  await app.locator('[data-test=calendars]').click()
  await app.locator('[data-test=feed-name]').fill('Phone')
  await app.locator('[data-test=weekdays]').fill('6.45')
  await app.locator('[data-test=add-feed]').click()
  const address = (await app.locator('[data-test=feed-address]').textContent())!.trim()
  const window = { from: daysFrom(week, 7), to: daysFrom(week, 13), timeZone: 'Europe/Oslo' }
  const events = async () => {
    const read = readIcs(await fetched(app, address), window)
    return read.ok ? read.events : []
  }
  const [first] = (await events()).filter(({ start }) => start === 405)
  const [entry] = (await spanned(app, first!.day, first!.day)).entries
  expect(first!.title).toBe(entry!.title)
  const to = daysFrom(week, 13)
  await app.request.post(`${stack().address}/api/plan/edits`, {
    headers: { origin: stack().address },
    data: { do: 'move', id: entry!.id, day: to, was: { day: entry!.day } },
  })
  expect((await events()).find(({ uid }) => uid === first!.uid)!.day).toBe(to)
  await expect(app.locator('[data-test=feed]')).toContainText('Phone')
  await app.locator('[data-test=end-feed]').click()
  await expect(app.locator('[data-test=feed]')).toHaveCount(0)
  expect((await app.request.get(address)).status()).toBe(404)
})

test('a calendar file is taken in as it says, and one that is none, or would never end, is refused in words', async ({ app }) => {
  const { week } = await todayHere(app)
  await weekOn(app, daysFrom(week, 7))
  await app.locator('[data-test=calendars]').click()
  const choose = async (name: string, text: string) => {
    const [chooser] = await Promise.all([app.waitForEvent('filechooser'), app.locator('[data-test=ics-choose]').click()])
    await chooser.setFiles({ name, mimeType: 'text/calendar', buffer: Buffer.from(text) })
  }
  const file = (...lines: string[]) => ['BEGIN:VCALENDAR', 'VERSION:2.0', ...lines, 'END:VCALENDAR', ''].join('\r\n')
  const compact = (offset: number) => daysFrom(week, offset).replaceAll('-', '')
  await choose('notes.ics', 'meet at the boathouse')
  await expect(app.locator('[data-test=ics-wrong]')).toContainText('The file is no calendar')
  await choose('large.ics', 'x'.repeat(20 * 1024 * 1024))
  await expect(app.locator('[data-test=ics-wrong]')).toContainText('large.ics is larger than 4 MB')
  const never = ['UID:n', `DTSTART:${compact(8)}T100000Z`, 'RRULE:FREQ=DAILY;BYMONTH=2;BYMONTHDAY=30', 'SUMMARY:never']
  await choose('never.ics', file('BEGIN:VEVENT', ...never, 'END:VEVENT'))
  await expect(app.locator('[data-test=ics-wrong]')).toContainText('never.ics has a rule that never comes true', { timeout: 20_000 })
  const club = ['UID:c', `DTSTART:${compact(8)}T170000Z`, `DTEND:${compact(8)}T180000Z`, 'RRULE:FREQ=DAILY;COUNT=2', 'SUMMARY:Club hall']
  const old = ['UID:o', 'DTSTART:20200101T100000Z', 'SUMMARY:Long ago']
  await choose('club.ics', file('BEGIN:VEVENT', ...club, 'END:VEVENT', 'BEGIN:VEVENT', ...old, 'END:VEVENT'))
  await expect(app.locator('[data-test=ics-read]')).toContainText('2 events')
  await expect(app.getByText('1 left out, their day is over: Long ago')).toBeVisible()
  await app.locator('[data-test=ics-take]').click()
  await expect(app.locator('[data-test=ics-told]')).toContainText('2 put on their days')
  await expect(app.locator(`.week > li[data-day="${daysFrom(week, 9)}"]`)).toContainText('Club hall')
})

test('weeks are laid out from a shape, changed, put on their days, and taken back as one', async ({ app }) => {
  const { week } = await todayHere(app)
  const from = daysFrom(week, 70)
  await weekOn(app, from)
  await app.locator('[data-test=from-shape]').click()
  await app.locator('[data-test=shape-weeks] input').fill('3')
  await app.locator('[data-test=shape-weeks] input').press('Tab')
  await expect(app.locator('[data-test=shape-hours-said]')).toContainText(/6 · .* · /)
  await app.locator('[data-test=lay-out]').click()
  const days = app.locator('[data-test=laid-day]')
  await expect(days).toHaveCount(21)
  const second = days.nth(1)
  const before = await second.innerText()
  await second.getByRole('button').click()
  await expect.poll(() => second.innerText()).not.toBe(before)
  await app.locator('[data-test=keep-laid]').click()
  await expect(app.locator('[data-test=plan-undo]')).toContainText('laid out from')
  const laid = (await spanned(app, from, daysFrom(from, 20))).entries
  expect(laid.length).toBeGreaterThan(9)
  await app.locator('[data-test=undo-plan]').click()
  await expect.poll(async () => (await spanned(app, from, daysFrom(from, 20))).entries.length).toBe(0)
})

test('a week goes on paper as a page and as a strip, and out as a text that is read back', async ({ app }) => {
  const { week } = await todayHere(app)
  await weekOn(app, week)
  await app.locator('[data-test=pass-on]').click()
  const paper = app.locator('.papers svg').first()
  await expect(paper).toHaveAttribute('width', '210mm')
  await app.locator('.el-radio', { hasText: 'strip for the fridge' }).click()
  await expect(paper).toHaveAttribute('width', '70mm')
  const { entries } = await spanned(app, week, daysFrom(week, 6))
  for (const { title } of entries.slice(0, 2)) await expect(app.locator('.papers')).toContainText(title.split(' ')[0]!)
  const [saved] = await Promise.all([app.waitForEvent('download'), app.locator('[data-test=week-pdf]').click()])
  expect(saved.suggestedFilename()).toBe(`week-${week}.pdf`)
  await app.locator('[data-test=week-text-copy]').click()
  await expect(app.locator('[data-test=week-text-copy]')).toHaveText('Copied')
})
