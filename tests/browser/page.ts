import { execFileSync } from 'node:child_process'
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import AxeBuilder from '@axe-core/playwright'
import { expect, test as base } from '@playwright/test'
import type { Page } from '@playwright/test'
import type { RunningStack } from '../../scripts/stack.mjs'

/** A test on the running application; a fault in the page's own code fails it. */
export const test = base.extend<{ app: Page }>({
  app: async ({ browser }, use) => {
    const context = await browser.newContext({
      baseURL: process.env.AGONIS_ADDRESS,
      viewport: { width: 1280, height: 800 },
      locale: 'en-GB',
    })
    const page = await context.newPage()
    const faults: string[] = []
    page.on('pageerror', error => faults.push(error.message))
    await use(page)
    expect(faults).toEqual([])
    await context.close()
  },
})

export { expect }

/** The words on the desk, as the editor holds them. */
export const script = (page: Page) => page.locator('.cm-content')
export const kept = (page: Page) => page.locator('[data-test=keeping]', { hasText: 'kept,' })

export async function newSession(page: Page): Promise<void> {
  await page.goto('/desk/new')
  await expect(script(page)).toBeFocused()
  await page.waitForURL(/\/desk\/[0-9a-f-]{36}/)
}

/** Pastes words at the caret, as the clipboard would. */
export async function paste(page: Page, text: string): Promise<void> {
  await script(page).evaluate((element, words) => {
    const data = new DataTransfer()
    data.setData('text/plain', words)
    element.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }))
  }, text)
}

/** An address that lets in once, as `npm run key` prints it for the application whose data lies in a folder. */
export function oneTimeAddress(folder: string, { address, databaseUrl }: RunningStack): string {
  writeFileSync(join(folder, 'running.json'), JSON.stringify({ address, plainUrl: databaseUrl }))
  const env = { ...process.env, AGONIS_DATA: folder }
  return execFileSync(process.execPath, ['--import', 'tsx', 'scripts/one-time-key.ts'], { env }).toString().trim()
}

/** Nothing that axe finds serious on this page. */
export async function expectAccessible(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).analyze()
  expect(violations.map(violation => `${violation.id}: ${violation.nodes[0]?.html}`)).toEqual([])
}
