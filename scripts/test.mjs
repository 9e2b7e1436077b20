/** npm test: installs what the tests need, then lint, types, core, build, server, browser. Last line: N passed, N failed. */
import { spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { availableParallelism } from 'node:os'
import { join } from 'node:path'
import { installPackages } from './cluster.mjs'
import { ensureBuild, ensureCommandLine, ensurePackages, prepareNuxt } from './prepare.mjs'

const root = fileURLToPath(new URL('..', import.meta.url))
const results = join(root, 'test-results')
let passed = 0
let failed = 0

function run(title, command, args, env = {}) {
  console.log(`\n== ${title}`)
  const { status } = spawnSync(command, args, {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, NUXT_TELEMETRY_DISABLED: '1', ...env },
  })
  return status === 0
}

function count(ok) {
  if (ok) passed++
  else failed++
}

/** Adds the numbers a runner wrote down; a runner that broke before writing counts as one failure. */
function tally(ok, file, numbers) {
  if (!existsSync(file)) {
    failed++
    return
  }
  const [good, bad] = numbers(JSON.parse(readFileSync(file, 'utf8')))
  passed += good
  failed += bad
  if (!ok && bad === 0) failed++
}

const vitestNumbers = report => [report.numPassedTests, report.numFailedTests]
const browserNumbers = report => [report.stats.expected, report.stats.unexpected + report.stats.flaky]

try {
  ensurePackages()
  if (!existsSync('/usr/bin/chromium')) installPackages(['chromium'], 'Chromium is missing.')
  if (!existsSync('/usr/bin/certutil')) installPackages(['libnss3-tools'], 'The tool for the store of certificates is missing.')
  rmSync(results, { recursive: true, force: true })
  mkdirSync(results, { recursive: true })
  prepareNuxt()
  count(run('lint', 'npm', ['run', '--silent', 'lint']))
  count(run('types', 'npx', ['nuxt', 'typecheck']))
  count(run('types of core and tools', 'npx', ['tsc', '-p', 'tsconfig.core.json']))
  await ensureCommandLine()
  const vitest = (project, file) =>
    run(project, 'npx', [
      ...['vitest', 'run', '--project', project, '--maxWorkers', String(availableParallelism())],
      ...['--reporter=default', '--reporter=json', `--outputFile.json=${file}`],
    ])
  tally(vitest('core', join(results, 'core.json')), join(results, 'core.json'), vitestNumbers)
  ensureBuild()
  tally(vitest('server', join(results, 'server.json')), join(results, 'server.json'), vitestNumbers)
  tally(
    run('browser', 'npx', ['playwright', 'test'], { PLAYWRIGHT_JSON_OUTPUT_FILE: join(results, 'browser.json') }),
    join(results, 'browser.json'),
    browserNumbers,
  )
} catch (error) {
  console.error(error.message)
  failed++
}
console.log(`${passed} passed, ${failed} failed`)
process.exit(failed === 0 ? 0 : 1)
