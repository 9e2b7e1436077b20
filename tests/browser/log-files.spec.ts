import type { Page } from '@playwright/test'
import { ilse } from '../../demo/athlete'
import { standpointOf } from '../../core/athlete/standpoint'
import { daysFrom } from '../../core/quantity/day'
import type { Recording } from '../../core/record/recording'
import { readScript } from '../../core/script/reader/read-script'
import { fit } from '../../core/wrist/fit/fit'
import { profileNamed } from '../../core/wrist/program/profile'
import { rehearse } from '../../standin/body/rehearse'
import { expect, ownStack, settled, test } from './page'

const stack = ownStack('log-files', false)
const script = 'title Five threes\nsport run\n\nwarm-up 10:00\n5 times\n  3:00 @ 5k effort\n  recovery 2:00\ncool-down 10:00\n'
const today = new Date().toISOString().slice(0, 10)
const athlete = { ...ilse, timeZone: 'UTC', efforts: ilse.efforts!.map(effort => ({ ...effort, date: daysFrom(today, -70) })) }
const standpoint = standpointOf(athlete, today)
const { program } = fit(readScript(script, standpoint).sessions[0]!, profileNamed('all-sport')!, standpoint)

/** A run of some minutes in a straight line, five repeats in it or none. */
function gpx(startedAt: string, minutes: number, withRepeats = false): string {
  let way = 0
  const points = Array.from({ length: minutes * 60 }, (_, second) => {
    const isHard = withRepeats && second > 600 && second <= 1800 && (second - 600) % 240 <= 120
    way += second === 0 ? 0 : isHard ? 4.2 : 2.7
    const time = new Date(Date.parse(startedAt) + second * 1000).toISOString()
    return `<trkpt lat="${59 + way / 111_195}" lon="5.4"><time>${time}</time></trkpt>`
  })
  return `<?xml version="1.0"?><gpx version="1.1"><trk><type>running</type><trkseg>${points.join('')}</trkseg></trk></gpx>`
}

/** Lets files fall onto the page, as a hand would. */
async function drop(page: Page, files: { name: string; text: string }[]): Promise<void> {
  await page.locator('.page').evaluate((element, all) => {
    const data = new DataTransfer()
    for (const { name, text } of all) data.items.add(new File([text], name))
    for (const kind of ['dragenter', 'dragover', 'drop'])
      element.dispatchEvent(new DragEvent(kind, { dataTransfer: data, bubbles: true, cancelable: true }))
  }, files)
}

test.beforeAll(async ({ request }) => {
  await request.get(`${stack().address}/today`)
})
test.use({ baseURL: undefined })
const open = (page: Page, path: string) => page.goto(`${stack().address}${path}`)

test('forty files are dropped, three of them bad: the good ones are kept, each bad one says why, and dropped again all are known', async ({
  app,
}) => {
  await open(app, '/log')
  await settled(app)
  const good = Array.from({ length: 37 }, (_, index) => ({
    name: `run-${index}.gpx`,
    text: gpx(new Date(Date.UTC(2025, 0, 1 + index, 6)).toISOString(), 2),
  }))
  const bad = [
    { name: 'declares.gpx', text: '<!DOCTYPE gpx [<!ENTITY a "b">]><gpx></gpx>' },
    { name: 'no-times.gpx', text: '<gpx><trk><trkseg><trkpt lat="1" lon="2"/></trkseg></trk></gpx>' },
    { name: 'words.csv', text: 'name,colour\nquay,red\n' },
  ]
  const all = [...good.slice(0, 20), ...bad, ...good.slice(20)]
  await drop(app, all)
  const taken = app.locator('[data-test=taken]')
  await expect(taken).toContainText('37 recordings taken in. 3 files not taken in.', { timeout: 60_000 })
  for (const { name } of bad) await expect(taken).toContainText(name)
  await expect(taken).toContainText('a route without times is no recording')
  await expect(app.locator('[data-test=row]')).toHaveCount(24)
  await app.getByRole('button', { name: 'Show more' }).click()
  await expect(app.locator('[data-test=row]')).toHaveCount(37)
  await drop(app, all.slice(0, 5))
  await expect(taken).toContainText('0 recordings taken in. 5 known before.')
  await app.reload()
  await expect(app.locator('[data-test=row]')).toHaveCount(24)
  await app.locator('[data-test=row] a').first().click()
  await expect(app.locator('[data-test=trace]')).toBeVisible()
  await app.locator('[data-test=pass-on] summary').click()
  const [download] = await Promise.all([app.waitForEvent('download'), app.locator('[data-test=original]').click()])
  expect(download.suggestedFilename()).toMatch(/^run-\d+\.gpx$/)
})

test('repeats that no plan led are found and kept; a start is put elsewhere by keys and by hand, and is found again', async ({ app }) => {
  await open(app, '/log')
  await settled(app)
  await drop(app, [{ name: 'fives.gpx', text: gpx('2025-06-01T06:00:00Z', 40, true) }])
  await expect(app.locator('[data-test=taken]')).toContainText('1 recording taken in.')
  await app.locator('[data-test=row]', { hasText: '1 Jun' }).locator('a').click()
  await expect(app.locator('[data-test=found]')).toContainText('5 x about')
  await app.locator('[data-test=keep-found]').click()
  await expect(app.locator('h1')).toContainText('5 x')
  await expect(app.locator('[data-test=basis]')).toContainText('% sure')
  const time = (row: number) => app.locator('[data-test=beside] tbody tr').nth(row).locator('td').nth(3)
  const before = await time(1).textContent()
  await app.locator('[data-test=choose-step]').nth(1).click()
  const handle = app.locator('[data-test=start-handle]')
  await handle.focus()
  for (let press = 0; press < 2; press++) await app.keyboard.press('PageUp')
  await app.keyboard.press('Enter')
  await expect(app.locator('[data-test=moved]')).toContainText('One step begins where you put it.')
  const moved = await time(1).textContent()
  expect(moved).not.toBe(before)
  await app.reload()
  await expect(time(1)).toHaveText(moved!)
  await app.locator('[data-test=choose-step]').nth(2).click()
  await expect(handle).toBeInViewport()
  const box = (await handle.boundingBox())!
  await app.mouse.move(box.x + box.width / 2, box.y + 60)
  await app.mouse.down()
  await app.mouse.move(box.x + box.width / 2 + 30, box.y + 60, { steps: 4 })
  await app.mouse.up()
  await expect(app.locator('[data-test=moved]')).toContainText('2 steps begin where you put them.')
  await app.locator('[data-test=moved]').getByRole('button').click()
  await expect(app.locator('[data-test=moved]')).toHaveCount(0)
  await expect(time(1)).toHaveText(before!)
})

test('a session is passed on in a link that a fresh browser opens and keeps, without what was not ticked', async ({ app, browser }) => {
  await app.context().grantPermissions(['clipboard-read', 'clipboard-write'])
  await open(app, '/log')
  await settled(app)
  const own = rehearse(program, athlete, { seed: 3, startedAt: '2025-07-01T06:00:00.000Z' })
  const recording: Recording = { ...own, felt: { rpe: 6, note: 'by the old quay' } }
  const session = crypto.randomUUID()
  const ask = (method: 'put' | 'post', path: string, data: object) => app.request[method](`${stack().address}/api${path}`, { data })
  await ask('put', `/sessions/${session}`, { base: 0, script })
  const { id } = (await (await ask('post', '/recordings', { recording, program, session })).json()) as { id: string }
  await open(app, `/log/${id}`)
  await app.locator('[data-test=pass-on] summary').click()
  await app.locator('[data-test=copy-link]').click()
  const link = await app.evaluate(() => navigator.clipboard.readText())
  expect(link).toContain('/passed#a1.')
  const fresh = await (await browser.newContext()).newPage()
  await fresh.goto(link)
  await expect(fresh.locator('[data-test=passed]')).toContainText('3:00 @ 5k effort  =>')
  await expect(fresh.locator('[data-test=passed-message]')).toHaveCount(0)
  await expect(fresh.locator('.page')).not.toContainText('2025')
  await fresh.locator('[data-test=passed-keep]').click()
  await fresh.waitForURL(/\/desk\/[0-9a-f-]{36}/)
  await fresh.goto(`${stack().address}/passed#a1.broken`)
  await fresh.reload()
  await expect(fresh.getByRole('alert')).toContainText('carries no session')
  await fresh.context().close()
})

test('a mark that training speaks for is taken by a yes, and the Desk reckons with it', async ({ app }) => {
  const ask = (method: 'put' | 'post' | 'get', path: string, data?: object) =>
    app.request[method](`${stack().address}/api${path}`, { data })
  await open(app, '/log')
  const { number } = (await (await ask('get', '/me')).json()) as { number: number }
  await ask('put', '/me', { base: number, document: athlete })
  for (const [index, daysAgo] of [30, 23, 16, 9].entries()) {
    const led = rehearse(program, athlete, { seed: index + 1, startedAt: `${daysFrom(today, -daysAgo)}T06:00:00.000Z` })
    const metres = led.samples.metres.map(value => (value === null ? null : Math.round(value * 1.03 * 10) / 10))
    await ask('post', '/recordings', { recording: { ...led, samples: { ...led.samples, metres }, felt: { rpe: 6 } }, program })
  }
  const session = crypto.randomUUID()
  await ask('put', `/sessions/${session}`, { base: 0, script: 'sport run\n\n3:00 @ 5k effort\n' })
  const comes = async () => {
    await open(app, `/desk/${session}`)
    const cell = app.locator('.sheet-comes').first()
    await expect(cell).toContainText('/km')
    return cell.textContent()
  }
  const before = await comes()
  await open(app, '/log/trends')
  const proposal = app.locator('[data-test=mark-proposal]')
  await expect(proposal).toContainText('The work of 4 sessions lay')
  await proposal.locator('[data-test=mark-yes]').click()
  await expect(proposal).toHaveCount(0)
  await expect(app.locator('[data-test=mark-proposals]')).toContainText('Taken into your marks')
  expect(await comes()).not.toBe(before)
})
