/**
 * npm run test:long: what takes longer than a change should wait for. Laws on cases drawn afresh, simulated sendings from
 * thousands of seeds, variants of what people write, browsers, servers and databases killed, a load, and every breakage found. `SEEDS`,
 * `VARIANTS`, `KILLS`, `LOAD_SECONDS` and `LAW_SEED` may be given. Says at the end what it did not get to.
 */
import { spawnSync } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { installPackages } from './cluster.mjs'
import { ensureBuild, ensureCommandLine, ensurePackages, prepareNuxt } from './prepare.mjs'

const root = fileURLToPath(new URL('..', import.meta.url))
const { SEEDS = '20000', VARIANTS = '20000', LAW_SEED = 'random', KILLS = '200', LOAD_SECONDS = '600' } = process.env
const half = String(Math.ceil(Number(KILLS) / 2))

const parts = [
  ['laws on fresh draws', 'npx', ['vitest', 'run', '--project', 'core', 'core'], { LAW_SEED }],
  [
    `simulated sendings from ${SEEDS} seeds`,
    'npx',
    ['vitest', 'run', '--project', 'core', 'standin/simulation', '--testTimeout=7200000'],
    { SEEDS },
  ],
  [
    `${VARIANTS} variants of what people write`,
    'npx',
    ['vitest', 'run', '--project', 'core', 'tests/corpus', '--testTimeout=1800000'],
    { VARIANTS, LAW_SEED },
  ],
  [`${half} browsers killed while words are typed`, 'npx', ['playwright', 'test', 'tests/browser/kill.spec.ts'], { KILLS: half }],
  [
    `${half} servers and databases killed while everything goes on`,
    'npx',
    ['vitest', 'run', '--project', 'server', 'tests/server/kills.test.ts'],
    { KILLS: half },
  ],
  [
    '200 rehearsals of every kind beside their forecast',
    'npx',
    ['vitest', 'run', '--project', 'core', 'standin/body'],
    { REHEARSALS: '200', BODIES: '200' },
  ],
  [`two copies under load for ${LOAD_SECONDS} s`, 'node', ['bench/load.mjs'], { SECONDS: LOAD_SECONDS }],
  [
    '400 recordings of each sport without their marks',
    'npx',
    ['vitest', 'run', '--project', 'core', 'core/record/unmarked.test.ts', '--testTimeout=1800000'],
    { UNMARKED: '400' },
  ],
  [
    'the plan in the calendar programs of Debian',
    'npx',
    ['vitest', 'run', '--project', 'long', 'tests/long/calendars.test.ts'],
    {},
    ['khal', 'calcurse'],
  ],
  [
    'recordings through a converter of Debian',
    'npx',
    ['vitest', 'run', '--project', 'long', 'tests/long/converter.test.ts'],
    {},
    ['gpsbabel'],
  ],
  ['breakages', 'node', ['scripts/breakages.mjs'], {}],
]

/** Whether programs of Debian are here, or can be installed; without the rights the part that needs them is skipped. */
function areHere(programs) {
  const missing = programs.filter(program => spawnSync('which', [program], { stdio: 'ignore' }).status !== 0)
  if (missing.length === 0) return true
  try {
    installPackages(missing, 'The plan is tried in other calendar programs.')
    return true
  } catch (error) {
    console.log(error.message)
    return false
  }
}

ensurePackages()
prepareNuxt()
await ensureCommandLine()
ensureBuild()
const said = []
let isInterrupted = false
process.on('SIGINT', () => (isInterrupted = true))
for (const [title, command, args, env, programs = []] of parts) {
  if (isInterrupted || !areHere(programs)) {
    said.push(['skipped', title])
    continue
  }
  console.log(`\n== ${title}`)
  const begun = Date.now()
  const { status, signal } = spawnSync(command, args, {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...env },
  })
  const minutes = ((Date.now() - begun) / 60_000).toFixed(1)
  if (signal) isInterrupted = true
  said.push([signal ? 'interrupted' : status === 0 ? 'passed' : 'failed', `${title}, ${minutes} min`])
}
console.log(`\n${said.map(([result, title]) => `${result.padEnd(11)} ${title}`).join('\n')}`)
const count = result => said.filter(([own]) => own === result).length
console.log(`${count('passed')} passed, ${said.length - count('passed')} failed or not done`)
process.exit(count('passed') === said.length ? 0 : 1)
