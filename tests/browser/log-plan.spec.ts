import { randomUUID } from 'node:crypto'
import type { Page } from '@playwright/test'
import { ilse } from '../../demo/athlete'
import { standpointOf } from '../../core/athlete/standpoint'
import { readScript } from '../../core/script/reader/read-script'
import { fit } from '../../core/wrist/fit/fit'
import { profileNamed } from '../../core/wrist/program/profile'
import { rehearse } from '../../standin/body/rehearse'
import { expect, settled, test } from './page'

const standpoint = standpointOf(ilse, null)
const rows = 'warm-up 10:00\n5 times\n  3:00 @ 5k effort\n  recovery 2:00\ncool-down 10:00\n'
const { program } = fit(readScript(`sport run\n\n${rows}`, standpoint).sessions[0]!, profileNamed('all-sport')!, standpoint)

/** What another device brings: no marks, and not which session it was. */
async function brought(app: Page, seed: number): Promise<string> {
  const startedAt = new Date(Date.now() - seed * 86_400_000).toISOString()
  const { program: _, ...done } = rehearse(program, ilse, { seed, startedAt })
  const response = await app.request.post('/api/recordings', { data: { recording: { ...done, marks: [] } } })
  return ((await response.json()) as { id: string }).id
}

test('a recording of another device is set beside the session it was, and what comes next goes onto its day by a key', async ({ app }) => {
  await app.goto('/log')
  await settled(app)
  const title = `Quay threes ${randomUUID().slice(0, 6)}`
  await app.request.put(`/api/sessions/${randomUUID()}`, { data: { base: 0, script: `title ${title}\nsport run\n\n${rows}` } })
  const id = await brought(app, 2)
  await app.goto(`/log/${id}`)
  await settled(app)
  await expect(app.locator('h1')).toHaveText('Without a plan')
  await app.locator('[data-test=put-search] input, input[data-test=put-search]').fill(title)
  await app.locator('[data-test=pick]', { hasText: title }).click()
  await expect(app.locator('h1')).toHaveText(title)
  await expect(app.locator('[data-test=basis]')).toContainText(/by the shape of what was recorded, \d+ % sure/)
  await expect(app.locator('[data-test=beside] tbody tr')).toHaveCount(12)
  await expect(app.locator('[data-test=next-kind]')).toHaveText(/A little harder|The same again/)
  await app.keyboard.press('n')
  await expect(app.locator('[data-test=next-told]')).toContainText('put on')
  await app.locator('[data-test=next-told]').getByRole('button', { name: 'Undo' }).click()
  await expect(app.locator('[data-test=take-next]')).toBeVisible()
  await app.reload()
  await settled(app)
  await expect(app.locator('h1')).toHaveText(title)
  await app.locator('[data-test=no-plan-of]').click()
  await expect(app.locator('h1')).toHaveText('Without a plan')
  await expect(app.locator('[data-test=what-next]')).toHaveCount(0)
})

test('after pain nothing harder is offered, and a doctor is named', async ({ app }) => {
  await app.goto('/log')
  await settled(app)
  const id = await brought(app, 3)
  const session = randomUUID()
  await app.request.put(`/api/sessions/${session}`, { data: { base: 0, script: `title Sore\nsport run\n\n${rows}` } })
  await app.request.put(`/api/recordings/${id}/plan`, { data: { session } })
  await app.request.put(`/api/recordings/${id}/felt`, { data: { rpe: 4, note: '', pain: true } })
  await app.goto(`/log/${id}`)
  await settled(app)
  await expect(app.locator('[data-test=next-kind]')).toHaveText('Rest first.')
  await expect(app.locator('[data-test=what-next]')).toContainText('doctor or physiotherapist')
  await expect(app.locator('[data-test=take-next]')).toHaveCount(0)
})
