import { execFileSync } from 'node:child_process'
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, expect, test } from '@playwright/test'
import type { Browser, BrowserContext, Page } from '@playwright/test'
import { chromiumOptions } from '../../scripts/chromium.mjs'
import type { RunningStack } from '../../scripts/stack.mjs'
import { startStack } from '../../scripts/stack.mjs'
import { expectAccessible, oneTimeAddress } from './page'

/** Over the home network: TLS by an authority that the browser was told to trust, in its own store, and never past the check. */
test.describe.configure({ mode: 'serial' })
let stack: RunningStack
let folder: string
let trusting: Browser
const passphrase = 'low tide at the quay'

function trustAuthority(home: string): void {
  const store = join(home, '.pki', 'nssdb')
  mkdirSync(store, { recursive: true })
  const authority = join(home, 'authority.crt')
  writeFileSync(authority, stack.home!.authority)
  execFileSync('certutil', ['-d', `sql:${store}`, '-N', '--empty-password'])
  execFileSync('certutil', ['-d', `sql:${store}`, '-A', '-t', 'C,,', '-n', 'Agonis of a test', '-i', authority])
}
const launch = (home: string) => chromium.launch({ ...chromiumOptions, env: { ...process.env, HOME: home } as Record<string, string> })

test.beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'agonis-home-'))
  stack = await startStack({ folder: join(folder, 'data'), demo: false, entrance: 'home', bind: '127.0.0.1', quiet: true })
  trustAuthority(join(folder, 'trusting'))
  trusting = await launch(join(folder, 'trusting'))
})
test.afterAll(async () => {
  await trusting?.close()
  await stack?.stop()
  rmSync(folder, { recursive: true, force: true })
})

const newContext = (): Promise<BrowserContext> => trusting.newContext({ baseURL: stack.address, viewport: { width: 1280, height: 800 } })
/** What the server answers this browser, by its own check of certificates. */
const statusOf = (page: Page, path: string, body?: unknown) =>
  page.evaluate(async ([to, sent]) => (await fetch(to!, sent ? { method: 'PUT', body: sent } : {})).status, [
    path,
    body ? JSON.stringify(body) : '',
  ] as const)
const enterByKey = (page: Page) => page.goto(oneTimeAddress(join(folder, 'data'), stack))

/** A key pair in the browser, as a fingerprint reader or a phone would have it. */
async function withAuthenticator(page: Page): Promise<void> {
  const devtools = await page.context().newCDPSession(page)
  await devtools.send('WebAuthn.enable')
  await devtools.send('WebAuthn.addVirtualAuthenticator', {
    options: {
      protocol: 'ctap2',
      transport: 'internal',
      hasResidentKey: true,
      hasUserVerification: true,
      isUserVerified: true,
      automaticPresenceSimulation: true,
    },
  })
}

test('a browser that does not trust the authority is warned, one that does is led to signing in', async () => {
  mkdirSync(join(folder, 'wary'), { recursive: true })
  const wary = await launch(join(folder, 'wary'))
  await expect((await wary.newPage()).goto(stack.address)).rejects.toThrow(/ERR_CERT_AUTHORITY_INVALID/)
  const page = await wary.newPage()
  await page.goto(stack.home!.trustAt)
  await expect(page.getByText(stack.home!.fingerprint)).toBeVisible()
  const certificate = await page.request.get(`${stack.home!.trustAt}/agonis-authority.crt`)
  expect([certificate.headers()['content-type'], await certificate.text()]).toEqual(['application/x-x509-ca-cert', stack.home!.authority])
  await wary.close()
  const context = await newContext()
  const other = await context.newPage()
  await other.goto('/log')
  await expect(other).toHaveURL(/\/sign-in\?to=\/log$/)
  await expect(other.locator('[data-test=sign-in]')).toBeVisible()
  await expectAccessible(other)
  expect(await statusOf(other, '/api/sessions')).toBe(401)
  await context.close()
})

test('the athlete comes in once by the printed address, sets a passphrase, and signs in by it', async () => {
  const first = await newContext()
  const page = await first.newPage()
  await enterByKey(page)
  await page.goto('/me#devices')
  await page.fill('[data-test=name]', 'Ilse')
  await page.fill('[data-test=passphrase]', 'short')
  await page.click('[data-test=set-sign-in]')
  await expect(page.getByText('The passphrase has fewer than 12 letters.')).toBeVisible()
  await page.fill('[data-test=passphrase]', passphrase)
  await page.click('[data-test=set-sign-in]')
  await expect(page.locator('[data-test=sign-in-set]')).toBeVisible()
  await first.close()

  const second = await newContext()
  const other = await second.newPage()
  await other.goto('/log')
  await other.fill('[data-test=name]', 'ilse')
  await other.fill('[data-test=passphrase]', 'high tide at the quay')
  await other.click('[data-test=sign-in-now]')
  await expect(other.getByText('That is not the name and passphrase of anybody here.')).toBeVisible()
  await other.fill('[data-test=passphrase]', passphrase)
  await other.press('[data-test=passphrase]', 'Enter')
  await other.waitForURL(url => url.pathname === '/log')
  await other.goto('/me#devices')
  await expect(other.locator('[data-test=devices]')).toContainText('this one')
  await expectAccessible(other)
  await second.close()
})

test('a passkey signs in where the server is reached by a name, and not by an address', async () => {
  const context = await newContext()
  const page = await context.newPage()
  await withAuthenticator(page)
  await enterByKey(page)
  await page.goto('/me#devices')
  await page.click('[data-test=add-passkey]')
  await expect(page.locator('[data-test=passkeys]')).toContainText('Passkey of')
  await page
    .getByRole('button', { name: /^End .*|Sign out/ })
    .filter({ hasText: 'Sign out' })
    .click()
  await expect(page).toHaveURL(/\/sign-in/)
  await page.click('[data-test=sign-in-by-passkey]')
  await page.waitForURL(/\/today/)
  await page.goto(`${stack.address.replace('localhost', '127.0.0.1')}/sign-in`)
  await expect(page.locator('[data-test=sign-in-now]')).toBeVisible()
  await expect(page.locator('[data-test=sign-in-by-passkey]')).toHaveCount(0)
  await context.close()
})

test('a phone is paired by the code on a signed-in screen, and ended from there', async () => {
  const desk = await newContext()
  const page = await desk.newPage()
  await enterByKey(page)
  await page.goto('/me#devices')
  await page.click('[data-test=pair-phone]')
  const address = await page.locator('[data-test=address]').textContent()
  expect(address).toMatch(/^https:\/\/localhost:\d+\/join#enter=/)

  const phone = await trusting.newContext({ viewport: { width: 390, height: 844 }, userAgent: 'Mozilla/5.0 (Linux; Android 16) Mobile' })
  const hand = await phone.newPage()
  await hand.goto(address!)
  await expect(hand).toHaveURL(/\/join$/)
  await expectAccessible(hand)
  await hand.click('[data-test=come-in]')
  await hand.waitForURL(/\/phone/)
  expect(await statusOf(hand, '/api/sessions')).toBe(200)
  const again = await phone.newPage()
  await again.goto(address!)
  await again.click('[data-test=come-in]')
  await expect(again.getByText('That key has let somebody in already')).toBeVisible()

  await page.reload()
  await page.getByRole('button', { name: 'End Browser on an Android phone' }).click()
  await expect(page.getByRole('button', { name: 'End Browser on an Android phone' })).toHaveCount(0)
  expect(await statusOf(hand, '/api/sessions')).toBe(401)
  await phone.close()
  await desk.close()
})

test('somebody else joins with an account of their own, and sees nothing of the first', async () => {
  const desk = await newContext()
  const page = await desk.newPage()
  await enterByKey(page)
  const id = '00000000-0000-4000-8000-0000000000aa'
  expect(await statusOf(page, `/api/sessions/${id}`, { base: 0, script: 'title Mine\nsport run\n\n10:00\n' })).toBe(200)
  await page.goto('/me#devices')
  await page.click('[data-test=invite]')
  const address = await page.locator('[data-test=address]').textContent()
  const theirs = await newContext()
  const other = await theirs.newPage()
  await other.goto(address!)
  await other.fill('[data-test=name]', 'Maren')
  await other.fill('[data-test=passphrase]', 'a long way round the sound')
  await other.click('[data-test=come-in]')
  await other.waitForURL(/\/me/)
  expect(await statusOf(other, `/api/sessions/${id}`)).toBe(404)
  await theirs.close()
  await desk.close()
})
