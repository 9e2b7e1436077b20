import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { BrowserContext } from '@playwright/test'
import { chromium } from '@playwright/test'
import { randomFrom } from '../../core/quantity/random'
import { chromiumOptions } from '../../scripts/chromium.mjs'
import { expect, newSession, script, test } from './page'

const kills = Number(process.env.KILLS ?? 4)
const seed = Number(process.env.KILL_SEED ?? 1)
/** What is older than this when the power goes must still be there. */
const mayLose = 1000

const launch = (profile: string): Promise<BrowserContext> =>
  chromium.launchPersistentContext(profile, {
    ...chromiumOptions,
    baseURL: process.env.AGONIS_ADDRESS,
    viewport: { width: 1280, height: 800 },
  })

/** Ends every process of the browser at once, as a power cut would. */
function kill(profile: string): void {
  execFileSync('pkill', ['-9', '-f', profile])
}

for (let run = 0; run < kills; run++) {
  const random = randomFrom(seed + run)
  const isServerAway = run % 2 === 1
  const name = `${isServerAway ? 'with the server away, ' : ''}seed ${seed + run}`
  test(`words typed a second before the browser is killed are there again: ${name}`, async () => {
    const profile = mkdtempSync(join(tmpdir(), 'agonis-kill-'))
    let context = await launch(profile)
    try {
      const page = context.pages()[0] ?? (await context.newPage())
      await newSession(page)
      const address = page.url()
      if (isServerAway) {
        await page.keyboard.type('30:00 ')
        await expect(page.locator('[data-test=keeping]')).toContainText('kept,')
        await page.route('**/api/**', route => route.abort())
      }
      const typed: { text: string; at: number }[] = []
      let text = isServerAway ? '30:00 ' : ''
      const until = Date.now() + 1500 + 3000 * random.next()
      for (let count = 1; Date.now() < until; count++) {
        const letter = count % 6 === 0 ? ' ' : String.fromCharCode(97 + Math.floor(26 * random.next()))
        await page.keyboard.type(letter)
        text += letter
        typed.push({ text, at: Date.now() })
      }
      const killedAt = Date.now()
      kill(profile)
      await context.close().catch(() => {})
      const due = typed.findLast(({ at }) => at < killedAt - mayLose)!.text.trim()
      context = await launch(profile)
      const again = await context.newPage()
      await again.goto(address)
      await expect(script(again)).toContainText(due)
      await expect(again.locator('[data-test=keeping]')).toContainText('kept,')
      const kept = (await (await again.request.get(`/api/sessions/${address.split('/').at(-1)}`)).json()) as { script: string }
      expect([text.startsWith(kept.script), kept.script.startsWith(due)]).toEqual([true, true])
    } finally {
      await context.close().catch(() => {})
      rmSync(profile, { recursive: true, force: true })
    }
  })
}
