/** npm run screenshots: one picture of each main view in docs/screenshots, from the demo data. */
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { chromiumOptions } from './chromium.mjs'
import { ensureBuild } from './prepare.mjs'
import { root, startStack } from './stack.mjs'

ensureBuild()
const folder = mkdtempSync(join(tmpdir(), 'agonis-pictures-'))
const pictures = join(root, 'docs/screenshots')
mkdirSync(pictures, { recursive: true })
const stack = await startStack({ folder, demo: true, quiet: true })
const browser = await chromium.launch(chromiumOptions)

try {
  const page = await browser.newPage({ baseURL: stack.address, viewport: { width: 1280, height: 800 }, locale: 'en-GB' })
  const take = name => page.screenshot({ path: join(pictures, `${name}.png`) })
  const tick = words => page.locator('.el-checkbox, .el-radio', { hasText: words }).first().click()
  const choose = async (select, option) => {
    await page.locator(select).click()
    await page
      .getByRole('option', { name: option, exact: typeof option === 'string' })
      .filter({ visible: true })
      .first()
      .click()
  }
  const open = async title => {
    await page.goto('/shelf')
    await page.fill('[data-test=search]', title)
    await page.getByRole('link', { name: title, exact: true }).click()
    await page.locator('.cm-line').first().waitFor()
  }

  await page.goto('/desk/new')
  await page.locator('.cm-content').waitFor()
  await page.keyboard.type('16 min easy, 2 x (4 x (90 s @ 102-106 %CP, 1 min easy)) / 4 min easy, 12 min easy')
  await page.locator('[data-test=keeping]', { hasText: 'kept,' }).waitFor()

  await open('Kvitberg fours')
  await page.locator('.sheet-band').first().waitFor()
  await page.locator('.cm-line', { hasText: '1:30 @ 102-106 %CP' }).click()
  await page.locator('[data-test=how-hard]').waitFor()
  await page.locator('.side').getByText('reckoning').waitFor({ state: 'hidden' })
  await take('desk')
  await page.setViewportSize({ width: 390, height: 844 })
  await take('desk-narrow')
  await page.setViewportSize({ width: 1280, height: 800 })

  await page.goto('/desk/new')
  await page.locator('.cm-content').waitFor()
  await page.locator('.cm-content').evaluate((element, text) => {
    const data = new DataTransfer()
    data.setData('text/plain', text)
    element.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }))
  }, '2 km easy, 5 x 1 km @ 10k pace, 2 min jog, 2 km easy\nsee you on the quay, bring a lamp')
  await page.getByRole('button', { name: 'set out in rows' }).click()
  await page.locator('.cm-line', { hasText: '1 km @ 10k effort' }).click()
  await page.locator('[data-test=keeping]', { hasText: 'kept,' }).waitFor()
  await take('desk-pasted')

  await page.goto('/desk/new')
  await page.locator('.cm-content').waitFor()
  await page.keyboard.insertText(
    'title Twelve from the quay\nsport run\nplace track\n\nwarm-up until press\n12 times, drop last ' +
      'recovery\n  300 m @ 3:50 /km\n  recovery 100 m\ncool-down until press\n',
  )
  await page.fill('[data-test=start-at]', '06:30')
  await page.locator('[data-test=take-quiet]').waitFor()
  await page.locator('[data-test=how-hard]').scrollIntoViewIfNeeded()
  await page.locator('.side').evaluate(side => side.scrollTo(0, 300))
  await take('desk-verdict')

  await page.goto('/calculator')
  await page.locator('[data-test=equivalents]').waitFor()
  await take('calculator')

  await page.goto('/shelf')
  await page.fill('[data-test=search]', 'ride under 1 h')
  await page.locator('[data-test=row]').first().waitFor()
  await take('shelf')

  await page.goto('/today')
  await page.locator('[data-test=waits-there]').waitFor()
  await take('today')

  await page.goto('/weeks')
  await page.locator('[data-test=entry]').nth(6).waitFor()
  await take('weeks')
  await page.getByRole('button', { name: 'Week after' }).click()
  await page.click('[data-test=fill]')
  await page.fill(
    '[data-test=week-text]',
    'Hi Ilse!\nTue: 2 km easy, 6 x 800 @ 5k pace / 90 s jog, 2 km easy\nThu: rest\nSat: ride 90 min Z2',
  )
  await page.locator('[data-test=read-day]').nth(1).waitFor()
  await take('weeks-filling')

  await open('Quay ladder')
  await page.click('[data-test=to-card]')
  await tick('with a code of the script')
  await page.locator('.paper').waitFor()
  await take('card')

  for (const title of ['Boathouse fours', 'Kvitberg fours', 'Sixes with float', 'Quay ladder']) {
    await open(title)
    await page.click('[data-test=send-to-watch]')
    await page.getByText('Everything fits as written.').waitFor()
    await page.click('[data-test=send]')
    await page.locator('[data-test=receipt]').waitFor()
  }
  await open('Quay ladder')
  await page.locator('.cm-content').click()
  await page.keyboard.press('Control+End')
  await page.keyboard.type('cool-down 5:00')
  await page.locator('[data-test=keeping]', { hasText: 'kept,' }).waitFor()
  const watches = await (await page.request.get('/api/watches')).json()
  const quay = watches.find(watch => watch.name === 'Quay watch')
  for (const act of [{ do: 'make' }, { do: 'delete', slot: 2 }, { do: 'edit', slot: 3 }])
    await page.request.post(`/api/standin/${quay.id}/hand`, { data: act })
  await page.goto('/watches')
  await page.locator('tr[data-status=edited]').getByRole('button', { name: 'read back' }).click()
  await page.locator('[data-test=compared]').waitFor()
  await take('watches')

  const belt =
    'title Treadmill, quick and steep\nsport run\nplace treadmill\n\nwarm-up 10:00\n4 times, drop last ' +
    'recovery\n  5:00 uphill 1 % @ 4:20-4:26 /km\n  recovery until HR below 120 walk\n0:40 @ 4:00 /km\n' +
    'cool-down 5:00\n'
  const beltId = crypto.randomUUID()
  await page.request.put(`/api/sessions/${beltId}`, { data: { base: 0, script: belt } })
  await page.goto(`/desk/${beltId}`)
  await page.click('[data-test=send-to-watch]')
  await tick('Drawer watch')
  await page.locator('[data-test=way]').first().waitFor()
  await page.locator('[data-test=send]:enabled').waitFor()
  await take('losses')

  await page.goto('/standin')
  await page.locator('[data-test=glass]').waitFor()
  await page.fill('[data-test=speed]', '200')
  await page.locator('[data-test=speed]').blur()
  const chosen = page.locator('[data-test=glass] .on')
  for (let push = 0; push < 8 && !(await chosen.textContent()).includes('Boathouse fours'); push++) await page.click('[data-test=bottom]')
  await page.click('[data-test=top]')
  await page.getByText('rep 2 of 4').waitFor({ timeout: 60_000 })
  await page.fill('[data-test=speed]', '1')
  await page.locator('[data-test=speed]').blur()
  await page
    .locator('[data-test=glass]')
    .getByText(/in band|below band|above band|no target/)
    .waitFor({ timeout: 30_000 })
  await take('standin')
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto('/phone')
  await choose('[data-test=pick]', /^Sixes with float/)
  await page.click('[data-test=take]')
  await page.getByText('is on this phone').waitFor()
  await tick('simulated ones')
  await page.fill('[data-test=speed]', '60')
  await page.click('[data-test=middle]')
  for (let push = 0; push < 3; push++) await page.click('[data-test=bottom]')
  await page.click('[data-test=top]')
  await page.locator('[data-test=glass]').getByText('rep 4 of 4').waitFor()
  await page.locator('[data-test=glass]').getByText('in band').waitFor({ timeout: 30_000 })
  await take('phone')
  await page.setViewportSize({ width: 1280, height: 800 })

  await page.goto('/log')
  await page.locator('[data-test=log] [data-test=row]').nth(5).waitFor()
  await take('log')
  await page.getByRole('link', { name: 'Twelve threes' }).click()
  await page.locator('canvas').waitFor()
  await take('log-session')
  await page.goto('/log/trends')
  await page.locator('[data-test=family-rows]').waitFor()
  await page.locator('canvas').nth(1).waitFor()
  await take('log-trends')

  await page.goto('/me')
  await page.locator('[data-test=numbers]').first().waitFor()
  await take('me')
  await page.locator('#zones').evaluate(heading => heading.scrollIntoView())
  await choose('[data-test=zone-of]', 'pace')
  await take('me-zones')
} finally {
  await browser.close()
  await stack.stop()
  rmSync(folder, { recursive: true, force: true })
}
