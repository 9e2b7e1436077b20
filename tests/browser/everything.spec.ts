import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from '@playwright/test'
import type { BrowserContext, Page } from '@playwright/test'
import type { RunningStack } from '../../scripts/stack.mjs'
import { startStack } from '../../scripts/stack.mjs'
import { expectAccessible, oneTimeAddress } from './page'

/** A locked installation of its own, which is filled from a download of the other and erased at the end. */
test.describe.configure({ mode: 'serial' })
let stack: RunningStack
let folder: string
let context: BrowserContext
let page: Page

test.beforeAll(async ({ browser }) => {
  folder = mkdtempSync(join(tmpdir(), 'agonis-everything-'))
  stack = await startStack({ folder, demo: false, entrance: 'locked', quiet: true })
  context = await browser.newContext({ baseURL: stack.address, viewport: { width: 1280, height: 800 }, locale: 'en-GB' })
  page = await context.newPage()
})
test.afterAll(async () => {
  await context?.close()
  await stack?.stop()
  rmSync(folder, { recursive: true, force: true })
})
test('a locked door says how it opens, and opens once by its address', async ({ browser }) => {
  await page.goto('/shelf')
  await expect(page.getByText('Agonis is locked on this machine.')).toBeVisible()
  await expectAccessible(page)
  const key = oneTimeAddress(folder, stack)
  await page.goto(key)
  await page.waitForURL(/\/today/)
  const other = await browser.newPage()
  await other.goto(key)
  await expect(other.getByText('That address has let somebody in already, or is too old.')).toBeVisible()
  await other.close()
})

test('a download of everything is taken in with its progress, and a bad one says why', async ({ browser }) => {
  const there = await browser.newContext({ baseURL: process.env.AGONIS_ADDRESS })
  const demo = await there.newPage()
  await demo.goto('/me#everything')
  const downloading = demo.waitForEvent('download')
  await demo.click('[data-test=export]')
  const archive = join(folder, 'everything.zip')
  await (await downloading).saveAs(archive)
  await there.close()

  const take = async (file: string) => {
    const choosing = page.waitForEvent('filechooser')
    await page.click('[data-test=take-everything]')
    await (await choosing).setFiles(file)
  }
  await page.goto('/me#everything')
  writeFileSync(join(folder, 'cut.zip'), 'PK\u0003\u0004 cut off')
  await take(join(folder, 'cut.zip'))
  await expect(page.getByText('The archive cannot be unpacked.')).toBeVisible()
  await take(archive)
  await expect(page.locator('[data-test=everything-taken]')).toContainText('taken in, of', { timeout: 60_000 })
  await page.goto('/shelf')
  await expect(page.getByRole('link', { name: 'Quay ladder', exact: true })).toBeVisible()
})

test('a recording is taken out of the log and brought back', async () => {
  await page.goto('/log')
  await page.getByRole('link', { name: 'Twelve threes' }).click()
  await page.click('[data-test=remove]')
  await expect(page.locator('[data-test=removed]')).toContainText('Twelve threes is out of the log.')
  await page.getByRole('button', { name: 'Bring it back' }).click()
  await expect(page.locator('[data-test=upshot]')).toBeVisible()
  await page.click('[data-test=remove]')
  await page.getByRole('link', { name: 'To the log' }).click()
  await expect(page.locator('[data-test=log]')).toBeVisible()
  await expect(page.getByRole('link', { name: 'Twelve threes' })).toHaveCount(0)
})

test('everything is erased only when it was asked twice', async () => {
  await page.goto('/me#everything')
  const dialog = page.getByRole('dialog')
  await page.click('[data-test=erase]')
  await dialog.getByRole('button', { name: 'Keep everything' }).click()
  await page.click('[data-test=erase]')
  await dialog.getByRole('button', { name: 'Go on' }).click()
  await dialog.getByRole('textbox').fill('perhaps')
  await dialog.getByRole('button', { name: 'Erase', exact: true }).click()
  await expect(dialog.getByText('The word is: erase')).toBeVisible()
  await dialog.getByRole('textbox').fill('erase')
  await dialog.getByRole('button', { name: 'Erase', exact: true }).click()
  await expect(page.locator('[data-test=erased]')).toBeVisible()
  await page.goto('/log')
  await expect(page.getByText('Nothing is done yet.')).toBeVisible()
})
