/**
 * npm run bench:desk: from the key until sheet, totals and remarks are written and laid out, for a session of 200 steps
 * at the Desk in Chromium. Beside each key a JSON text is parsed, so that the machine's mood divides out.
 *
 * From there on the browser waits for its next frame, up to 16.7 ms whatever was typed. That time is told apart, for the
 * Desk and for a plain text field.
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
const rows = Array.from({ length: 200 }, (_, index) => `${1 + (index % 9)}:00 @ 4:${20 + (index % 30)}-4:${25 + (index % 30)} /km`)

ensureBuild()
const folder = mkdtempSync(join(tmpdir(), 'agonis-bench-'))
const stack = await startStack({ folder, demo: true, quiet: true })
const browser = await chromium.launch(chromiumOptions)

/** Notes how long each key takes until what it changes is laid out, and until the next frame begins. */
function watchKeys() {
  const text = JSON.stringify(Array.from({ length: 3000 }, (_, index) => ({ a: index, b: `x${index}`, c: [index, index + 1] })))
  const parts = [
    ...document.querySelectorAll('.cm-editor, [aria-label="Totals"], [aria-label="Remarks"], [aria-label="Suggestions"], textarea'),
  ]
  const words = () => parts.map(part => part.textContent).join()
  window.keyTimes = []
  let key = null
  window.addEventListener(
    'keydown',
    () => {
      key = { from: performance.now() }
      requestAnimationFrame(() => {
        const { from, laidOut, parse, said } = key
        if (said !== words()) throw new Error('Something was written after the key was said to be done.')
        window.keyTimes.push({ laidOut, frame: performance.now() - from - parse, parse })
      })
    },
    true,
  )
  // What an event set off is done when it has come up here, but for the layout.
  for (const type of ['keydown', 'beforeinput', 'input']) {
    window.addEventListener(type, event => {
      if (key.laidOut !== undefined || !(event.defaultPrevented || type === 'input')) return
      for (const part of parts) part.getBoundingClientRect()
      key.laidOut = performance.now() - key.from
      const from = performance.now()
      JSON.parse(text)
      key.parse = performance.now() - from
      key.said = words()
    })
  }
}

async function press(page, key) {
  await page.evaluate(() => (window.keyTimes.length = 0))
  await page.keyboard.press(key)
  await page.waitForFunction(() => window.keyTimes.length > 0)
  return page.evaluate(() => window.keyTimes[0])
}

async function openPage() {
  const context = await browser.newContext({ baseURL: stack.address, viewport: { width: 1280, height: 800 } })
  const page = await context.newPage()
  page.on('pageerror', error => {
    throw error
  })
  return { context, page }
}

/** A page with the session on the desk and the caret before a row. */
async function openAt(row) {
  const { context, page } = await openPage()
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

/** A digit and taken away again. */
async function typeIn({ context, page }) {
  const times = { typed: [], taken: [] }
  for (let key = 0; key < keysToWarmUp + keysToCount; key++) {
    for (const [name, wanted] of [
      ['typed', String(1 + (key % 9))],
      ['taken', 'Backspace'],
    ]) {
      const time = await press(page, wanted)
      if (key >= keysToWarmUp) times[name].push(time)
    }
  }
  await context.close()
  return times
}

/** The same words in a text field that nothing hangs on. */
async function openField() {
  const { context, page } = await openPage()
  await page.setContent('<textarea style="width: 900px; height: 600px"></textarea>')
  await page.locator('textarea').fill(rows.join('\n'))
  await page.locator('textarea').evaluate(field => field.setSelectionRange(2000, 2000))
  await page.evaluate(watchKeys)
  return { context, page }
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
  const took = times.map(time => time.laidOut)
  const ratios = times.map(time => time.laidOut / time.parse)
  const frames = times.map(time => time.frame)
  console.log(
    [
      name.padEnd(34),
      `laid out: median ${shown(at(took, 0.5))} ms`,
      `p99 ${shown(at(took, 0.99))} ms`,
      `in parses: median ${shown(at(ratios, 0.5))}`,
      `p99 ${shown(at(ratios, 0.99))}`,
      `frame begins: median ${shown(at(frames, 0.5))} ms`,
      `p99 ${shown(at(frames, 0.99))} ms`,
    ].join('   '),
  )
}

/** A shared machine runs at full speed now and then only: the keys whose own parse tells that it did. */
function tellQuick(places, written) {
  const kinds = {
    'typed': places.flatMap(({ typed }) => typed),
    'taken away': places.flatMap(({ taken }) => taken),
    'letter of a new row': written,
  }
  const fullSpeed =
    1.3 *
    at(
      Object.values(kinds)
        .flat()
        .map(time => time.parse),
      0.01,
    )
  for (const [name, times] of Object.entries(kinds)) {
    const quick = times.filter(time => time.parse <= fullSpeed).map(time => time.laidOut)
    if (quick.length > 0)
      console.log(
        `${name.padEnd(19)} beside a parse of at most ${fullSpeed.toFixed(1)} ms (${quick.length} of ` +
          `${times.length} keys): median ${shown(at(quick, 0.5))} ms   p99 ${shown(at(quick, 0.99))} ms`,
      )
  }
}

try {
  const places = [6, 100, 199].map(row => ({ name: `row ${row} of 200`, open: () => openAt(row), typed: [], taken: [] }))
  places.push({ name: 'a plain text field', open: openField, typed: [], taken: [] })
  const written = []
  for (let round = 0; round < rounds; round++) {
    for (const place of places) {
      const times = await typeIn(await place.open())
      place.typed.push(...times.typed)
      place.taken.push(...times.taken)
    }
    written.push(...(await writeAt(100)))
  }
  for (const { name, typed, taken } of places) {
    tell(`typed in ${name}`, typed)
    tell(`taken away in ${name}`, taken)
  }
  tell('letter of a new row before row 100', written)
  const parses = [...places.flatMap(({ typed, taken }) => [...typed, ...taken]), ...written].map(time => time.parse)
  tellQuick(
    places.filter(({ open }) => open !== openField),
    written,
  )
  console.log(`${'one parse of JSON, 85 kB'.padEnd(34)} median ${shown(at(parses, 0.5))} ms   p99 ${shown(at(parses, 0.99))} ms`)
} finally {
  await browser.close()
  await stack.stop()
  rmSync(folder, { recursive: true, force: true })
}
