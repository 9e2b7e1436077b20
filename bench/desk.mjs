/**
 * npm run bench:desk: from the key to the frame that shows it, for a session of 200 steps at the Desk in Chromium. By
 * then sheet, totals and remarks are written and laid out. Beside each key a JSON text is parsed, so that the machine's
 * mood divides out.
 */
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { chromiumOptions } from '../scripts/chromium.mjs'
import { ensureBuild } from '../scripts/prepare.mjs'
import { startStack } from '../scripts/stack.mjs'

const rounds = Number(process.env.ROUNDS ?? 6)
const keysToWarmUp = 15
const keysToCount = 40
const writtenRow = '6:30 @ 4:20-4:25 /km'
const rows = Array.from({ length: 200 }, (_, index) => `${1 + index % 9}:00 @ 4:${20 + index % 30}-4:${25 + index % 30} /km`)

ensureBuild()
const folder = mkdtempSync(join(tmpdir(), 'agonis-bench-'))
const stack = await startStack({ folder, demo: true, quiet: true })
const browser = await chromium.launch(chromiumOptions)

/** Notes how long each key takes until the next frame begins, with all that waits for layout laid out. */
function watchKeys() {
  const text = JSON.stringify(Array.from({ length: 3000 }, (_, index) => ({ a: index, b: `x${index}`, c: [index, index + 1] })))
  window.keyTimes = []
  let at = null
  const close = () => {
    if (at === null) return
    document.querySelector('.side').getBoundingClientRect()
    document.querySelector('.cm-content').getBoundingClientRect()
    const took = performance.now() - at
    at = null
    const from = performance.now()
    JSON.parse(text)
    window.keyTimes.push({ took, parse: performance.now() - from })
  }
  const channel = new MessageChannel()
  channel.port2.onmessage = close
  window.addEventListener('keydown', () => {
    at = performance.now()
    requestAnimationFrame(close)
    channel.port1.postMessage(0)
  }, true)
}

async function press(page, key) {
  await page.evaluate(() => window.keyTimes.length = 0)
  await page.keyboard.press(key)
  await page.waitForFunction(() => window.keyTimes.length > 0)
  return page.evaluate(() => window.keyTimes[0])
}

/** A page with the session on the desk and the caret before a row. */
async function openAt(row) {
  const context = await browser.newContext({ baseURL: stack.address, viewport: { width: 1280, height: 800 } })
  const page = await context.newPage()
  await page.goto('/desk/new')
  await page.locator('.cm-content').waitFor()
  await page.keyboard.insertText(`sport run\n\n${rows.join('\n')}\n`)
  await page.locator('[data-test=steps]', { hasText: '200' }).waitFor()
  await page.locator('[data-test=keeping]', { hasText: 'kept,' }).waitFor()
  await page.keyboard.press('Control+Home')
  for (let line = 1; line < row + 2; line++) await page.keyboard.press('ArrowDown')
  await page.evaluate(watchKeys)
  return { context, page }
}

/** A digit in front of a row and taken away again. */
async function typeAt(row) {
  const { context, page } = await openAt(row)
  const times = { typed: [], taken: [] }
  for (let key = 0; key < keysToWarmUp + keysToCount; key++) {
    for (const [name, wanted] of [['typed', String(1 + key % 9)], ['taken', 'Backspace']]) {
      const time = await press(page, wanted)
      if (key >= keysToWarmUp) times[name].push(time)
    }
  }
  await context.close()
  return times
}

/** A row of its own written letter by letter: most of its letters make no sense yet, and are remarked on. */
async function writeAt(row) {
  const { context, page } = await openAt(row)
  const times = []
  for (let line = 0; line < 4; line++) {
    await page.keyboard.press('Enter')
    await page.keyboard.press('ArrowUp')
    for (const key of writtenRow) {
      const time = await press(page, key)
      if (line > 0) times.push(time)
    }
    await page.keyboard.press('Home')
  }
  await context.close()
  return times
}

const at = (values, share) => [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * share))]
const shown = value => value.toFixed(1).padStart(6)

function tell(name, times) {
  const took = times.map(time => time.took)
  const ratios = times.map(time => time.took / time.parse)
  console.log(`${name.padEnd(34)} median ${shown(at(took, 0.5))} ms   p99 ${shown(at(took, 0.99))} ms   in parses of JSON: median ${shown(at(ratios, 0.5))}   p99 ${shown(at(ratios, 0.99))}`)
}

try {
  const places = [6, 100, 199].map(row => ({ row, typed: [], taken: [] }))
  const written = []
  for (let round = 0; round < rounds; round++) {
    for (const place of places) {
      const times = await typeAt(place.row)
      place.typed.push(...times.typed)
      place.taken.push(...times.taken)
    }
    written.push(...await writeAt(100))
  }
  for (const { row, typed, taken } of places) {
    tell(`typed in row ${row} of 200`, typed)
    tell(`taken away in row ${row} of 200`, taken)
  }
  tell('letter of a new row before row 100', written)
  const parses = [...places.flatMap(({ typed, taken }) => [...typed, ...taken]), ...written].map(time => time.parse)
  console.log(`${'one parse of JSON, 85 kB'.padEnd(34)} median ${shown(at(parses, 0.5))} ms   p99 ${shown(at(parses, 0.99))} ms`)
}
finally {
  await browser.close()
  await stack.stop()
  rmSync(folder, { recursive: true, force: true })
}
