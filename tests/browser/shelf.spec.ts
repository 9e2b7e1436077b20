import { readFileSync } from 'node:fs'
import { PDFDocument } from 'pdf-lib'
import { actOn, choose, expect, expectAccessible, kept, newSession, script, test, tick } from './page'

test('sessions are found by what is in them', async ({ app }) => {
  await app.goto('/shelf')
  const rows = app.locator('[data-test=shelf] [data-test=row]')
  await app.fill('[data-test=search]', 'swim on send-offs')
  await expect(rows.first()).toContainText('swim · ')
  await app.fill('[data-test=search]', 'ride under 1 h')
  await expect(rows.first()).toContainText('ride · ')
  await app.fill('[data-test=search]', '')
  await choose(app.locator('[data-test=sort]'), 'title')
  await expect(rows.first()).toBeVisible()
  await expectAccessible(app)
})

test('a session is tagged, archived and brought back', async ({ app }) => {
  await newSession(app)
  await app.keyboard.type('title Put me away\nsport run\n\n7 x 77 m')
  await expect(kept(app)).toBeVisible()
  await app.goto('/shelf')
  await app.fill('[data-test=search]', '7 x 77 m')
  const row = app.locator('[data-test=shelf] [data-test=row]')
  await expect(row).toHaveCount(1)
  await actOn(app, 'Put me away', 'Tag')
  await app.fill('[data-test=tag]', 'Odd')
  await app.keyboard.press('Enter')
  await expect(row).toContainText('#odd')
  await actOn(app, 'Put me away', 'Archive')
  await expect(row).toHaveCount(0)
  await app.fill('[data-test=search]', 'archived #odd')
  await actOn(app, 'Put me away', 'Bring back')
  await app.fill('[data-test=search]', '#odd')
  await expect(row).toHaveCount(1)
})

test('all sessions go out in one file and come in again, and what does not fit is said', async ({ app }) => {
  await app.goto('/shelf')
  const [download] = await Promise.all([app.waitForEvent('download'), app.click('[data-test=export]')])
  const path = await download.path()
  const [chooser] = await Promise.all([app.waitForEvent('filechooser'), app.click('[data-test=import]')])
  await chooser.setFiles([
    { name: 'back.zip', mimeType: 'application/zip', buffer: readFileSync(path) },
    { name: 'odd.json', mimeType: 'application/json', buffer: Buffer.from('{"format":"x"}') },
  ])
  await expect(app.locator('[data-test=imported]')).toContainText(/\d+ sessions taken in/)
  await expect(app.locator('[data-test=imported]')).toContainText('odd.json')
  await expect(app.locator('[data-test=imported]')).toContainText(/0 sessions taken in, \d+ of what is in there were here already/)
  await app.locator('[data-test=acts]').first().click()
  await app.getByRole('menuitem', { name: /^Copy/ }).filter({ visible: true }).click()
  await app.waitForURL(/\/desk\//)
  await app.goto('/shelf')
  await app.fill('[data-test=search]', 'duplicates')
  await expect(app.locator('[data-test=shelf] [data-test=row]').first()).toContainText('same content as')
})

test('a pasted week is read before it is kept, put on its days and moved', async ({ app }) => {
  await app.goto('/weeks')
  await app.click('[data-test=fill]')
  await app.fill(
    '[data-test=week-text]',
    'Hi Ilse!\nTue 30 March 2027: title-less 6 x 800 / 90 s jog\nThu 1 April 2027: rest\nSat 3 April 2027: ride 90 min Z2',
  )
  await expect(app.locator('[data-test=read-day]')).toHaveCount(2)
  await app.reload()
  await expect(app.locator('[data-test=read-day]')).toHaveCount(2)
  await app.click('[data-test=fill-week]')
  const day = (date: string) => app.locator(`[data-day="${date}"] [data-test=entry]`, { hasText: '1:30:00' })
  await expect(day('2027-04-03')).toHaveCount(1)
  await day('2027-04-03').locator('[data-test=move]').click()
  await app.locator('[data-test=move-to]').getByRole('button', { name: 'Sun' }).click()
  await expect(day('2027-04-04')).toHaveCount(1)
  const answered = app.waitForResponse(response => response.url().includes('/api/plan/span') && response.ok())
  await app
    .locator('[data-day="2027-04-04"] [data-test=entry]', { hasText: '1:30:00' })
    .dragTo(app.locator('[data-day="2027-04-02"] .entries'))
  await expect(day('2027-04-02')).toHaveCount(1)
  await answered
  await expect(app.locator('[data-test=undo-plan]')).toBeEnabled()
  await expectAccessible(app)
})

test('every line of a pasted week is accounted for, and a question answered there, before it is kept', async ({ app }) => {
  await app.goto('/weeks')
  await app.click('[data-test=fill]')
  await app.fill(
    '[data-test=week-text]',
    [
      'Hi Ilse, next week:',
      'Mon 6 April 2026: rest',
      'Tue 7 April 2026: 2 km easy, 6 x 800 @ 5k, 90 s jog',
      'Wed 8 April 2026: swim, plan will follow',
      'Thu 9 April 2026: 5 km @ sideways',
      'Fri 10 April 2026',
      '50 min easy',
      'bring the light shoes',
    ].join('\n'),
  )
  const lines = app.locator('[data-test=message-line]')
  await expect(lines.locator('.outcome')).toHaveText([
    'note of Tue 7 Apr',
    'a rest day',
    'Tue 7 Apr',
    'not kept: no session on that day',
    'not read, kept on Thu 9 Apr as it is',
    'heads what follows',
    'Fri 10 Apr',
    'note of Fri 10 Apr',
  ])
  await expectAccessible(app)
  await app.getByRole('button', { name: 'Line 3: only between' }).click()
  await expect(lines.nth(2).getByRole('button')).toHaveCount(0)
  await expect(app.locator('[data-test=week-text]')).toHaveValue(/6 x 800 @ 5k w\/ recovery 1:30 jog/)
  await expect(app.locator('[data-test=read-day]').first()).toContainText('6 times, drop last recovery')
  await app.click('[data-test=fill-week]')
  for (const day of ['2026-04-07', '2026-04-09', '2026-04-10'])
    await expect(app.locator(`[data-day="${day}"] [data-test=entry]`)).toHaveCount(1)
})

test('a week pasted at the Desk goes on to its days', async ({ app }) => {
  await newSession(app)
  await app.keyboard.insertText('Mon: 40 min easy\nWed: 5 x 1 km / 2 min jog')
  await expect(app.locator('[data-test=several]')).toContainText('2 sessions')
  await app.click('[data-test=to-week]')
  await expect(app.locator('[data-test=read-day]')).toHaveCount(2)
})

test('a session goes on paper, as large as the paper lets it, with a code of its script', async ({ app }) => {
  await newSession(app)
  await app.keyboard.type('title On paper\nsport run\n\nwarm-up until press\n4 times\n400 m @ 5k effort\nrecovery 1:30 jog')
  await expect(kept(app)).toBeVisible()
  await app.click('[data-test=to-card]')
  await expect(app.getByRole('img', { name: /On paper, Arm band/ })).toBeVisible()
  await tick(app, 'with a code of the script')
  const [download] = await Promise.all([app.waitForEvent('download'), app.click('[data-test=pdf]')])
  const [page] = (await PDFDocument.load(readFileSync(await download.path()))).getPages()
  expect(Math.round((page!.getWidth() / 72) * 25.4)).toBe(60)
  expect(Math.round((page!.getHeight() / 72) * 25.4)).toBe(180)
  await expectAccessible(app)
  await app.goBack()
  await expect(script(app)).toContainText('400 m @ 5k effort')
})

test('a family is laid open below its session, and families are found', async ({ app }) => {
  await app.goto('/shelf')
  await expect(app.locator('[data-test=shelf] [data-test=row]').first()).toBeVisible()
  const id = crypto.randomUUID()
  await app.request.put(`/api/sessions/${id}`, {
    data: { base: 0, script: 'title Pontoon sevens\nsport run\n\n7 times\n  3:00 @ 5k effort\n  recovery 1:00\n' },
  })
  for (const title of ['Pontoon sevens, short', 'Pontoon sevens, long'])
    await app.request.post(`/api/sessions/${id}/copy`, { data: { variant: true, title } })
  await app.click('[data-test=families]')
  await app.fill('[data-test=search]', 'families Pontoon')
  const rows = app.locator('[data-test=shelf] [data-test=row]')
  await expect(rows).toHaveCount(3)
  const row = rows.filter({ has: app.getByRole('link', { name: 'Pontoon sevens', exact: true }) })
  await row.getByRole('button', { name: '2 variants of Pontoon sevens' }).click()
  await expect(row.locator('[data-test=family] a')).toHaveText(['Pontoon sevens, short', 'Pontoon sevens, long'])
  await row.getByRole('link', { name: 'Pontoon sevens, long' }).click()
  await expect(app.locator('.cm-content')).toContainText('title Pontoon sevens, long')
})
