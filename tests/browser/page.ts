import { execFileSync } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import AxeBuilder from '@axe-core/playwright'
import { expect, test as base } from '@playwright/test'
import type { Locator, Page } from '@playwright/test'
import type { RunningStack } from '../../scripts/stack.mjs'
import { startStack } from '../../scripts/stack.mjs'

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

/** An installation of the file's own, whose tests go one after the other: what they move about is nobody else's. */
export function ownStack(name: string, demo: boolean): () => RunningStack {
  let folder: string
  let stack: RunningStack
  test.describe.configure({ mode: 'serial' })
  test.beforeAll(async () => {
    folder = mkdtempSync(join(tmpdir(), `agonis-${name}-`))
    stack = await startStack({ folder, demo, quiet: true })
  })
  test.afterAll(async () => {
    await stack?.stop()
    await rm(folder, { recursive: true, force: true })
  })
  return () => stack
}

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

/** What axe finds on this page, a rule and its first place each. */
export async function axeFaults(page: Page, without: string[] = []): Promise<string[]> {
  /** A colour on its way to another is neither. */
  await page.waitForFunction(() => !document.getAnimations().some(one => one instanceof CSSTransition && one.playState === 'running'))
  const { violations } = await new AxeBuilder({ page }).disableRules(without).analyze()
  return violations.map(violation => `${violation.id}: ${violation.nodes[0]?.html}`)
}

/** Nothing that axe finds serious on this page. */
export async function expectAccessible(page: Page): Promise<void> {
  expect(await axeFaults(page)).toEqual([])
}

/** The list that a select lays out, told from one that is still closing. */
export async function optionsOf(select: Locator): Promise<Locator> {
  const box = select.locator('[role=combobox]').or(select.and(select.page().getByRole('combobox')))
  return select.page().locator(`[id="${await box.first().getAttribute('aria-controls')}"] [role=option]`)
}

const exactly = (words: string) => new RegExp(`^\\s*${words.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}\\s*$`)

/** Picks an option of a select by what it says, in whole or by a pattern. */
export async function choose(select: Locator, option: string | RegExp): Promise<void> {
  await select.click()
  const options = await optionsOf(select)
  await options
    .filter({ hasText: typeof option === 'string' ? exactly(option) : option })
    .first()
    .click()
  await expect(options.filter({ visible: true })).toHaveCount(0)
}

/** Does something with a session on the shelf, by its menu. */
export async function actOn(page: Page, title: string, what: string): Promise<void> {
  await page.getByRole('button', { name: `Actions for ${title}`, exact: true }).click()
  await page
    .getByRole('menuitem', { name: new RegExp(`^${what}`) })
    .filter({ visible: true })
    .click()
}

/** Ticks a box, or takes one of several ways, by what stands beside it: the library's own boxes lie under what it draws. */
export const tick = (page: Page, words: string): Promise<void> =>
  page.locator('.el-checkbox, .el-radio', { hasText: words }).first().click()

/** A room stands whole: nothing more comes. */
export async function settled(page: Page): Promise<void> {
  await expect(page.locator('[data-test=opening]')).toHaveCount(0)
  await expect(page.locator('h1').first()).toBeVisible()
  /** Nothing more comes: what is there is the same for three looks running. */
  await page.waitForFunction(
    () => {
      const seen = window as unknown as { count?: number; times?: number }
      const count = document.querySelectorAll('*').length
      seen.times = seen.count === count ? (seen.times ?? 0) + 1 : 0
      seen.count = count
      return seen.times >= 3
    },
    undefined,
    { polling: 150 },
  )
}
