/**
 * npm run bench:years: ten years of plan and log, or as many as are asked for, each week like those of the demo. How long Today, a week,
 * the weeks to the race and the log take beside a trivial route in the same run, and how long the pages take to open.
 */
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from 'playwright-core'
import postgres from 'postgres'
import { chromiumOptions } from '../scripts/chromium.mjs'
import { startStack } from '../scripts/stack.mjs'

const block = 63
/** `YEARS` asks for others: 28 are ten thousand recordings. */
const years = Number(process.env.YEARS ?? 10)
const blocks = Math.ceil((years * 365) / block)
const median = values => values.toSorted((one, other) => one - other)[Math.floor(values.length / 2)]
const folder = mkdtempSync(join(tmpdir(), 'agonis-years-'))
const stack = await startStack({ folder, demo: true, quiet: true })
const database = postgres(stack.ownerUrl, { max: 1, onnotice: () => {} })

/** Every row again, so many days earlier, for every block of weeks. */
async function again(table, columnsOf) {
  const rows =
    await database`select column_name as name from information_schema.columns where table_name = ${table} and is_generated = 'NEVER'`
  const own = columnsOf(block)
  const names = rows.map(({ name }) => `"${name}"`).join(', ')
  const values = rows.map(({ name }) => own[name] ?? `"${name}"`).join(', ')
  await database.unsafe(`insert into ${table} (${names}) select ${values} from ${table}, generate_series(1, ${blocks}) k`)
  const [{ count }] = await database`select count(*)::int as count from ${database(table)}`
  return count
}
const context = await (await chromium.launch(chromiumOptions)).newContext({ baseURL: stack.address, locale: 'en-GB' })
const page = await context.newPage()
await page.goto('/today')
const answered = async path => {
  const response = await context.request.get(`/api${path}`)
  if (!response.ok()) throw new Error(`${path}: ${response.status()}`)
  return response.body()
}
/** What recordings tell for good is read once; what is copied below has been. */
while (JSON.parse(await answered('/trends?sport=run')).unread > 0);
const recordings = await again('recording', days => ({
  id: 'gen_random_uuid()',
  started_at: `started_at - k * interval '${days} days'`,
  digest: "digest || '-' || k",
}))
const planned = await again('plan_entry', days => ({ id: 'gen_random_uuid()', day: `day - k * ${days}` }))
await database`analyze`
console.log(`${recordings} recordings and ${planned} planned over ${Math.round((blocks * block) / 365)} years`)

const { today } = JSON.parse(await answered('/plan/span?from=2026-01-01&to=2026-01-02'))
const from = (day, days) => new Date(Date.parse(day) + days * 86_400_000).toISOString().slice(0, 10)

async function timed(work, after) {
  const times = []
  for (let round = 0; round < 12; round++) {
    const begun = performance.now()
    await work()
    times.push(performance.now() - begun)
    await after?.()
  }
  return median(times.slice(2))
}
const asked = path => timed(() => answered(path))
const trivial = await asked('/entrance')
for (const [name, path] of [
  ['Today', '/today'],
  ['a week with the four before it', `/plan/span?from=${from(today, -34)}&to=${from(today, 6)}`],
  ['the weeks to the race', `/plan/span?from=${from(today, -34)}&to=${from(today, 60)}`],
  ['the log, its first rows', '/recordings?limit=24'],
  ['the log, found by words', '/recordings?limit=24&words=threes'],
  ['the log, one month five years ago', `/recordings?limit=100&from=${from(today, -1830)}&to=${from(today, -1800)}`],
  ['what moves', '/trends?sport=run'],
  ['a week five years ago', `/plan/span?from=${from(today, -1830)}&to=${from(today, -1790)}`],
]) {
  const took = await asked(path)
  console.log(`${name.padEnd(32)} ${took.toFixed(0).padStart(5)} ms   ${(took / trivial).toFixed(1)} x a trivial route`)
}
/** A room gone to from another, until it shows what is on. */
async function opened(room, shown) {
  await page.goto('/calculator')
  const link = page.getByRole('link', { name: room, exact: true })
  await link.waitFor()
  const goThere = async () => {
    await link.click()
    await page.locator(shown).first().waitFor()
  }
  return timed(goThere, async () => {
    await page.getByRole('link', { name: 'Calculator', exact: true }).click()
    await page.locator(shown).first().waitFor({ state: 'detached' })
  })
}
const loaded = (path, shown) =>
  timed(async () => {
    await page.goto(path, { waitUntil: 'commit' })
    await page.locator(shown).first().waitFor()
  })
for (const [room, path, shown] of [
  ['Today', '/today', '[data-test=week-glance]'],
  ['Weeks', '/weeks', '[data-test=entry]'],
  ['Log', '/log', '[data-test=row]'],
]) {
  console.log(`${room} gone to`.padEnd(32), `${(await opened(room, shown)).toFixed(0).padStart(5)} ms`)
  console.log(`${room} loaded anew`.padEnd(32), `${(await loaded(path, shown)).toFixed(0).padStart(5)} ms`)
}
console.log('What moves loaded anew'.padEnd(32), `${(await loaded('/log/trends', '[data-test=bests]')).toFixed(0).padStart(5)} ms`)
await context.browser().close()
await database.end()
await stack.stop()
rmSync(folder, { recursive: true, force: true })
