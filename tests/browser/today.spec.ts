import type { Page } from '@playwright/test'
import { daysFrom } from '../../core/quantity/day'
import type { PlanSpan, TodayPicture } from '../../shared/plan'
import { expect, ownStack, settled, test } from './page'

/** A demo of its own: its plan is moved about. */
const stack = ownStack('today', true)

const open = async (app: Page, path: string) => {
  await app.goto(`${stack().address}${path}`)
  await settled(app)
}
const pictured = async (app: Page) => (await (await app.request.get(`${stack().address}/api/today`)).json()) as TodayPicture
const spanned = async (app: Page, from: string, to: string) =>
  (await (await app.request.get(`${stack().address}/api/plan/span?from=${from}&to=${to}`)).json()) as PlanSpan
const edited = (app: Page) => app.waitForResponse(response => /\/api\/plan\/(?:edits|undo)$/.test(response.url()) && response.ok())
const dayRow = (app: Page, day: string) => app.locator(`.week > li[data-day="${day}"]`)

test('the first look: what is on, what is on the watch, what waits, and the last upshot', async ({ app }) => {
  await open(app, '/')
  await expect(app).toHaveURL(/\/today$/)
  const { sessions, last } = await pictured(app)
  await expect(app.locator('[data-test=today-session] h1')).toHaveText(sessions[0]!.entry.title)
  await expect(app.locator('[data-test=today-total]')).toBeVisible()
  await expect(app.locator('[data-test=today-session] .rows li')).toHaveCount(sessions[0]!.rows.length)
  await expect(app.locator('[data-test=on-watch]')).toContainText('on the Quay watch')
  await expect(app.locator('[data-test=waits-there]')).toContainText('One recording waits on the Quay watch.')
  await expect(app.locator('[data-test=decide-doubt]')).toContainText('Club evening')
  await expect(app.locator('[data-test=last]')).toContainText(last!.title)
  await expect(app.getByText(/\d+ days to Sund Crossing/)).toBeVisible()
})

test('the recording that waits on the watch is brought home, and is the last upshot', async ({ app }) => {
  await open(app, '/today')
  const before = (await pictured(app)).last!
  await app.locator('[data-test=bring-home]').click()
  /** On a Sunday and a Monday it is a ride or a run of hours that waits: a radio takes its time. */
  await expect(app.locator('[data-test=waits-there]')).toHaveCount(0, { timeout: 30_000 })
  await expect.poll(async () => (await pictured(app)).last!.id).not.toBe(before.id)
  await expect(app.locator('[data-test=last] h2')).toContainText((await pictured(app)).last!.title)
})

test('what is on is moved to another day, a day without anything says so, and both are taken back', async ({ app }) => {
  await open(app, '/today')
  const { sessions, today } = await pictured(app)
  const { title } = sessions[0]!.entry
  await app.locator('[data-test=move-to]').click()
  await app.locator(`.days [data-day="${daysFrom(today, 2)}"]`).click()
  await expect(app.locator('[data-test=nothing-on] h1')).toHaveText('Nothing is on today')
  await expect(app.locator('[data-test=nothing-on] .next li').filter({ hasText: title }).first()).toBeVisible()
  await app.locator('[data-test=rest]').click()
  await expect(app.locator('[data-test=nothing-on] h1')).toHaveText('A day of rest')
  for (const back of ['Nothing is on today', title]) {
    await app.locator('[data-test=undo-plan]').click()
    await expect(app.locator('h1').first()).toHaveText(back)
  }
})

test('a session is put on a day from the shelf, by keys moved a day on, and taken off with undo', async ({ app }) => {
  await open(app, '/shelf?search=Swim+test')
  const title = app.locator('[data-test=row-title]', { hasText: 'Swim test 400 and 200' })
  await title.focus()
  await app.keyboard.press('d')
  await app.waitForURL(/\/weeks\?put=/)
  await expect(app.locator('[data-test=bringing]')).toContainText('Swim test 400 and 200')
  await app.getByRole('button', { name: 'Week after' }).click()
  const day = daysFrom((await pictured(app)).week.from, 8)
  const put = edited(app)
  await app.locator(`[data-test=bring-here][data-day="${day}"]`).click()
  await put
  const entry = (on: string) => dayRow(app, on).locator('[data-test=entry]', { hasText: 'Swim test' })
  await expect(entry(day)).toBeVisible()
  await entry(day).locator('a').first().focus()
  const moved = edited(app)
  await app.keyboard.press('Alt+ArrowDown')
  await moved
  await expect(entry(daysFrom(day, 1))).toBeVisible()
  await entry(daysFrom(day, 1)).locator('[data-test=take-off]').click()
  await expect(entry(daysFrom(day, 1))).toHaveCount(0)
  await expect(app.locator('[data-test=plan-undo]')).toContainText('Swim test 400 and 200 taken off')
  await app.locator('[data-test=undo-plan]').click()
  await expect(entry(daysFrom(day, 1))).toBeVisible()
})

test('other work is put on a day and counts in the load of the week', async ({ app }) => {
  await open(app, '/weeks')
  await app.getByRole('button', { name: 'Week after' }).click()
  const { week } = await pictured(app)
  const day = daysFrom(week.from, 9)
  const load = app.locator('[data-test=week-sums] dd strong').first()
  await expect(dayRow(app, day)).toBeVisible()
  const before = Number(await load.innerText())
  await dayRow(app, day).locator('[data-test=add]').click()
  await app.locator('.el-radio-button', { hasText: 'Other work' }).click()
  await app.locator('[data-test=put-name] input, input[data-test=put-name]').fill('Gym with the club')
  await app.locator('[data-test=put-minutes] input').fill('50')
  await app.locator('[data-test=put-effort] input').fill('4')
  await app.locator('[data-test=put-it]').click()
  await expect(dayRow(app, day)).toContainText('effort 4 of 10')
  await expect(load).toHaveText(String(before + 200))
  const gym = dayRow(app, day).locator('[data-test=entry]', { hasText: 'Gym with the club' })
  await gym.locator('[data-test=change]').click()
  await gym.locator('[data-test=change-name] input, input[data-test=change-name]').fill('Core at home')
  await gym.locator('[data-test=put-effort] input').fill('6')
  await gym.locator('[data-test=change-keep]').click()
  await expect(dayRow(app, day)).toContainText('Core at home')
  await expect(load).toHaveText(String(before + 300))
})

test('all that is planned is moved on after an illness, but the race, and taken back as it was', async ({ app }) => {
  await open(app, '/weeks')
  await app.getByRole('button', { name: 'Week after' }).click()
  const { week } = await pictured(app)
  const [from, to] = [daysFrom(week.from, 7), daysFrom(week.from, 60)]
  await expect(dayRow(app, from)).toBeVisible()
  const before = (await spanned(app, from, to)).entries
  await app.locator('[data-test=whole-week]').click()
  await app.locator('[data-test=shift-by] input').fill('3')
  const shifted = edited(app)
  await app.locator('[data-test=shift]').click()
  await shifted
  const after = (await spanned(app, from, to)).entries
  expect(after.map(({ id }) => id).sort()).toEqual(before.map(({ id }) => id).sort())
  expect(after.every(({ id, day }) => day === daysFrom(before.find(one => one.id === id)!.day, 3))).toBe(true)
  await app.locator('[data-test=undo-plan]').click()
  await expect.poll(async () => (await spanned(app, from, to)).entries).toEqual(before)
})

test('two hard days are named with a day that is better, which is taken and no longer named', async ({ app }) => {
  await open(app, '/weeks')
  await app.getByRole('button', { name: 'Week after' }).click()
  const { week } = await pictured(app)
  const [monday, tuesday] = [daysFrom(week.from, 7), daysFrom(week.from, 8)]
  await expect(dayRow(app, monday)).toBeVisible()
  await app.locator('[data-test=whole-week]').click()
  await app.locator('[data-test=clear-week]').click()
  await expect(app.locator('[data-test=entry]')).toHaveCount(0)
  for (const [day, words] of [
    [monday, 'Ten quick minutes'],
    [tuesday, 'Twelve threes'],
  ] as const) {
    await dayRow(app, day).locator('[data-test=add]').click()
    await app.locator('[data-test=put-search] input, input[data-test=put-search]').fill(words)
    await app.locator('[data-test=pick]', { hasText: words }).first().click()
    await expect(dayRow(app, day).locator('[data-test=entry]', { hasText: words })).toBeVisible()
  }
  const thought = app.locator('[data-test=thoughts] [data-code=hard-close]')
  await expect(thought).toContainText('both hard')
  await thought.locator('[data-test=take-fix]').click()
  await expect(thought).toHaveCount(0)
  await expect(dayRow(app, daysFrom(week.from, 9)).locator('[data-test=entry]', { hasText: 'Twelve threes' })).toBeVisible()
})

test('of two tabs that move one session, the second is told, and shows where it is', async ({ app }) => {
  await open(app, '/weeks')
  const { week } = await pictured(app)
  const from = daysFrom(week.from, 7)
  const row = (await spanned(app, from, daysFrom(from, 6))).entries.find(({ title }) => title === 'Twelve threes')!
  await app.getByRole('button', { name: 'Week after' }).click()
  await expect(dayRow(app, row.day).locator(`[data-id="${row.id}"]`)).toBeVisible()
  /** It asks as a tab does that saw it on another day. */
  await app.route('**/api/plan/edits', route =>
    route.continue({ postData: JSON.stringify({ ...route.request().postDataJSON(), was: { day: from } }) }),
  )
  await app.locator(`[data-id="${row.id}"] [data-test=move]`).click()
  await app.locator('[data-test=move-to]').getByRole('button', { name: 'Sun' }).click()
  await expect(app.getByText('It has been moved meanwhile.')).toBeVisible()
  await expect(dayRow(app, row.day).locator(`[data-id="${row.id}"]`)).toBeVisible()
  expect((await spanned(app, from, daysFrom(from, 6))).entries.find(({ id }) => id === row.id)!.day).toBe(row.day)
})

test('the weeks to the race stand one below the other, and lead to each', async ({ app }) => {
  await open(app, '/weeks')
  await app.locator('.el-radio-button', { hasText: 'To the race' }).click()
  const rows = app.locator('[data-test=block] tbody tr')
  await expect(rows).toHaveCount(5)
  await expect(rows.last()).toContainText('Sund Crossing')
  await rows.nth(1).getByRole('button').click()
  await expect(dayRow(app, daysFrom((await pictured(app)).week.from, 7))).toBeVisible()
})
