import type { Page } from '@playwright/test'
import { choose, optionsOf, expect, kept, newSession, test, tick } from './page'

interface Watch {
  id: string
  name: string
  profile: { name: string }
}

async function watchNamed(app: Page, name: string): Promise<Watch> {
  const watches = (await (await app.request.get('/api/watches')).json()) as Watch[]
  return watches.find(watch => watch.name === name)!
}

/** Everything off a watch that a test before may have left, and its link good again. */
async function cleared(app: Page, { id }: Watch): Promise<void> {
  await app.request.put(`/api/standin/${id}/link-faults`, { data: { link: 'radio', delay: 1, loss: 0, cutAfter: null } })
  const { rows } = (await (await app.request.get(`/api/watches/${id}/state`)).json()) as {
    rows: { slot: number; status: string; generation: number }[]
  }
  for (const row of rows.filter(entry => entry.status !== 'empty')) {
    await app.request.delete(`/api/watches/${id}/slots/${row.slot}?expects=${row.generation}&handMade=true`)
    await app.request.delete(`/api/watches/${id}/slots/${row.slot}`)
  }
}

async function written(app: Page, text: string): Promise<string> {
  const id = crypto.randomUUID()
  await app.request.put(`/api/sessions/${id}`, { data: { base: 0, script: text } })
  return id
}
const short = (title: string) =>
  `title ${title}\nsport run\n\nwarm-up 1:00\n3 times, drop last recovery\n  0:30 @ 4:20-4:50 /km\n  recovery 0:20\n`

async function sent(app: Page, { id }: Watch, session: string): Promise<void> {
  const { id: transfer } = (await (await app.request.post(`/api/watches/${id}/transfers`, { data: { session } })).json()) as { id: string }
  await expect
    .poll(async () => ((await (await app.request.get(`/api/transfers/${transfer}`)).json()) as { state: string }).state)
    .toBe('done')
}

test('a sending cut half-way is gone on with, read back, carried out at sixty times real time and found in the log', async ({ app }) => {
  await app.goto('/watches')
  const quay = await watchNamed(app, 'Quay watch')
  await cleared(app, quay)
  await newSession(app)
  await app.keyboard.type('title Cut in the middle\nsport run\n\nwarm-up 1:00\n3 times\n0:30 @ 4:20-4:50 /km')
  await app.keyboard.press('Enter')
  await app.keyboard.type('recovery 0:20')
  await expect(kept(app)).toBeVisible()
  await app.click('[data-test=send-to-watch]')
  await tick(app, 'Quay watch')
  await expect(app.getByText('Everything fits as written.')).toBeVisible()
  await app.request.put(`/api/standin/${quay.id}/link-faults`, { data: { link: 'radio', delay: 5, loss: 0, cutAfter: 7800 } })
  await app.click('[data-test=send]')
  await expect(app.locator('[data-test=transfer]')).toContainText(/stopped at \d+ of \d+ bytes: The watch does not answer/, {
    timeout: 40_000,
  })
  await app.request.put(`/api/standin/${quay.id}/link-faults`, { data: { link: 'radio', delay: 5, loss: 0, cutAfter: null } })
  await app.click('[data-test=resume]')
  await expect(app.locator('[data-test=receipt]')).toContainText('read back and equal')
  await app.getByRole('link', { name: 'See it step by step' }).click()
  await expect(app.locator('[data-test=compared]')).toHaveText('● equal, step by step')
  await app.getByRole('link', { name: 'its glass and buttons' }).click()
  await expect(app.locator('[data-test=glass] .on')).toHaveText('Cut in the middle')
  await expect(app.locator('[data-test=speed]')).toHaveValue('60')
  await app.click('[data-test=top]')
  await app.locator('[data-test=to-log]').last().click({ timeout: 30_000 })
  await expect(app.locator('[data-test=upshot]')).toContainText('7 of 7 steps done')
})

test('every loss of a treadmill session stands at its row, can be met otherwise, for once or always, and refused', async ({ app }) => {
  await newSession(app)
  await app.keyboard.type('title Belt tens\nsport run\nplace treadmill\n\n10:00 @ 5:10 /km\n10:00 @ 5:15 /km')
  await expect(kept(app)).toBeVisible()
  await app.click('[data-test=send-to-watch]')
  await tick(app, 'Drawer watch')
  const ways = app.locator('[data-test=way]')
  await expect(ways).toHaveCount(2)
  await ways.first().click()
  await expect(await optionsOf(ways.first())).toHaveText([/about \d+-\d+ bpm/, 'no target', 'nothing: do not send it so'])
  await ways.first().click()
  await choose(ways.nth(1), 'nothing: do not send it so')
  await expect(app.locator('[data-test=send]')).toBeDisabled()
  await expect(app.locator('[data-test=losses] .error')).toHaveCount(1)
  await choose(ways.nth(1), 'no target')
  await expect(app.locator('[data-test=send]')).toBeEnabled()
  await app.locator('[data-test=losses] li').nth(1).locator('.el-checkbox').click()
  await expect(ways.first()).toContainText('no target')
  await app.goto('/watches')
  await app.getByRole('button', { name: 'Drawer watch' }).click()
  await expect(app.getByText('pace targets of a run, treadmill: none')).toBeVisible()
  await app.getByRole('button', { name: 'no longer' }).click()
  await expect(app.getByText('Standing choices')).toBeHidden()
})

test('what is missing, changed there, older and made there is told apart, and put right without losing what hands made', async ({
  app,
}) => {
  await app.goto('/watches')
  const quay = await watchNamed(app, 'Quay watch')
  await cleared(app, quay)
  const ids = [await written(app, short('Deleted')), await written(app, short('Edited')), await written(app, short('Revised'))]
  for (const id of ids) await sent(app, quay, id)
  await app.request.post(`/api/standin/${quay.id}/hand`, { data: { do: 'make' } })
  await app.request.post(`/api/standin/${quay.id}/hand`, { data: { do: 'delete', slot: 1 } })
  await app.request.post(`/api/standin/${quay.id}/hand`, { data: { do: 'edit', slot: 2 } })
  await app.request.put(`/api/sessions/${ids[2]}`, { data: { base: 1, script: short('Revised').replace('3 times', '4 times') } })
  await app.goto(`/watches?watch=${quay.id}`)
  const statuses = app.locator('[data-test=slots] tbody tr')
  await expect(statuses).toHaveCount(4)
  await expect(app.locator('[data-test=slots]')).toContainText('missing')
  await expect(app.locator('[data-test=slots]')).toContainText('older: the session has changed')
  await expect(app.locator('tr[data-status=extra]')).toContainText('made there')
  await app.locator('tr[data-status=edited]').getByRole('button', { name: 'read back' }).click()
  await expect(app.locator('[data-test=compared]')).toHaveText('● not equal')
  await expect(app.locator('.rows tr.bad')).toContainText('warm-up 1:00')
  await app.locator('tr[data-status=missing]').getByRole('button', { name: 'send again' }).click()
  await expect(app.locator('tr[data-status=missing]')).toHaveCount(0)
  await app.locator('tr[data-status=edited]').getByRole('button', { name: 'clear' }).click()
  await app.getByRole('button', { name: 'Keep it' }).click()
  await expect(app.locator('tr[data-status=edited]')).toHaveCount(1)
  await app.locator('tr[data-status=edited]').getByRole('button', { name: 'clear' }).click()
  await app.getByRole('button', { name: 'Clear it' }).click()
  await expect(app.locator('tr[data-status=edited]')).toHaveCount(0)
})

test('pushing shows what it would do, and does that', async ({ app }) => {
  await app.goto('/watches')
  const quay = await watchNamed(app, 'Quay watch')
  await cleared(app, quay)
  const id = await written(app, short('Planned for today'))
  const day = new Intl.DateTimeFormat('en-CA', { timeZone: 'Europe/Oslo' }).format(new Date())
  const { id: entry } = (await (await app.request.post('/api/plan', { data: { session: id, day } })).json()) as { id: string }
  await app.goto(`/watches?watch=${quay.id}`)
  await app.click('[data-test=dry-run]')
  await expect(app.locator('[data-test=acts]')).toContainText(/send “Planned for today” to slot \d/)
  await expect(app.locator('[data-test=slots]')).toHaveCount(0)
  await app.click('[data-test=push]')
  await expect(app.locator('tr[data-status=equal]', { hasText: 'Planned for today' })).toBeVisible()
  await app.click('[data-test=dry-run]')
  await expect(app.locator('[data-test=acts]')).toContainText('is there already')
  await app.request.delete(`/api/plan/${entry}`)
})

test('another watch is taken in, paired by the code on its glass, and forgotten', async ({ app }) => {
  await app.goto('/watches')
  await app.click('[data-test=add]')
  await app.fill('[data-test=watch-name]', 'Boathouse runner')
  await app.getByRole('button', { name: 'Take it in' }).click()
  await expect(app.locator('[data-test=pairing]')).toContainText('Boathouse runner is not paired')
  const runner = await watchNamed(app, 'Boathouse runner')
  await app.fill('[data-test=pairing-code]', '111111')
  await app.getByRole('button', { name: 'Pair', exact: true }).click()
  await expect(app.getByRole('alert').first()).toContainText('shows no code')
  const glass = await app.context().newPage()
  await glass.goto(`/standin/${runner.id}`)
  const middle = glass.locator('[data-test=middle]')
  await middle.click({ delay: 900 })
  const code = (await glass.locator('[data-test=code]').textContent())!
  await glass.close()
  await app.fill('[data-test=pairing-code]', code)
  await app.getByRole('button', { name: 'Pair', exact: true }).click()
  await expect(app.locator('[data-test=empty]')).toContainText('It holds nothing yet')
  await app.getByRole('button', { name: 'forget this watch' }).click()
  await app.getByRole('button', { name: 'Forget it' }).click()
  await expect(app.getByRole('button', { name: 'Boathouse runner' })).toHaveCount(0)
})
