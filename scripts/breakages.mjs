/**
 * Breaks the program on purpose, one fault at a time, and sees that the named test fails: a fault that no test finds is a
 * hole in the tests. `node scripts/breakages.mjs [words]` takes those alone whose words hold all the given ones.
 *
 * What was found is written down as it goes, so that a run that was interrupted goes on; a fault is found anew when its
 * file or its test has changed. The file is put back whatever happens.
 */
import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { stripVTControlCharacters } from 'node:util'
import { breakages as everything } from '../tests/breakages/all.mjs'
import { ensureBuild } from './prepare.mjs'

const root = fileURLToPath(new URL('..', import.meta.url))
const foundFile = join(root, '.data', 'breakages.json')
const read = path => readFileSync(join(root, path), 'utf8')

const testFiles = path =>
  statSync(join(root, path)).isDirectory()
    ? readdirSync(join(root, path)).flatMap(name => (/\.test\.ts$/.test(name) ? [join(path, name)] : []))
    : [path]
const nameOf = ({ what, file, from, to, test }) =>
  createHash('sha256')
    .update([what, from, to, read(file), ...testFiles(test).map(read)].join('\u0000'))
    .digest('hex')

function test({ project, test: path }) {
  const [command, args] =
    project === 'browser' ? ['npx', ['playwright', 'test', path]] : ['npx', ['vitest', 'run', '--project', project, '--bail', '1', path]]
  return spawnSync(command, args, { cwd: root, encoding: 'utf8', env: { ...process.env, NUXT_TELEMETRY_DISABLED: '1' } })
}

/** Whether tests ran and one of them failed: a broken import or a program that does not compile finds nothing. */
function hasFoundIt({ status, stdout }, { project }) {
  const failed = project === 'browser' ? /^\s+[1-9]\d* failed/m : /Tests\s+[1-9]\d* failed/
  return status !== 0 && failed.test(stripVTControlCharacters(stdout))
}

function breakAndTest(breakage) {
  const whole = read(breakage.file)
  if (whole.split(breakage.from).length !== 2) return 'stale'
  const putBack = () => writeFileSync(join(root, breakage.file), whole)
  const onSignal = () => {
    putBack()
    process.exit(130)
  }
  process.once('SIGINT', onSignal)
  process.once('SIGTERM', onSignal)
  try {
    writeFileSync(
      join(root, breakage.file),
      whole.replace(breakage.from, () => breakage.to),
    )
    if (breakage.project === 'browser' || breakage.isBuilt) ensureBuild()
    return hasFoundIt(test(breakage), breakage) ? 'found' : 'unfound'
  } finally {
    putBack()
    process.off('SIGINT', onSignal)
    process.off('SIGTERM', onSignal)
  }
}

const words = process.argv.slice(2).map(word => word.toLowerCase())
const wanted = everything.filter(({ what, file, project }) =>
  words.every(word => `${what} ${file} ${project}`.toLowerCase().includes(word)),
)
const found = existsSync(foundFile) ? JSON.parse(readFileSync(foundFile, 'utf8')) : {}
const counts = { found: 0, unfound: 0, stale: 0 }
for (const breakage of wanted) {
  const name = nameOf(breakage)
  const begun = Date.now()
  const result = found[name] ?? breakAndTest(breakage)
  counts[result]++
  if (result === 'found') {
    found[name] = result
    mkdirSync(dirname(foundFile), { recursive: true })
    writeFileSync(foundFile, JSON.stringify(found, null, 2))
  }
  const said = { found: 'found', unfound: 'NOT FOUND', stale: 'NO LONGER THERE, mend the list' }[result]
  console.log(`${said.padEnd(9)} ${((Date.now() - begun) / 1000).toFixed(0).padStart(4)} s  ${breakage.file}: ${breakage.what}`)
}
if (wanted.some(({ project, isBuilt }) => project === 'browser' || isBuilt)) ensureBuild()
console.log(`${counts.found} of ${wanted.length} breakages found, ${counts.unfound} not found, ${counts.stale} no longer there`)
process.exit(counts.found === wanted.length ? 0 : 1)
