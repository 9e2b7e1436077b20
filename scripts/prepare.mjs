/** Makes sure that packages are installed and the production build is that of the sources at hand. */
import { execFileSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

const root = fileURLToPath(new URL('..', import.meta.url))
const at = path => join(root, path)

function* files(path) {
  if (!existsSync(at(path))) return
  if (!statSync(at(path)).isDirectory()) {
    yield path
    return
  }
  for (const name of readdirSync(at(path)).sort()) yield* files(join(path, name))
}

function digest(paths) {
  const hash = createHash('sha256')
  for (const path of paths) for (const file of files(path)) hash.update(file).update(readFileSync(at(file)))
  return hash.digest('hex')
}

const stamp = name => at(`.data/stamps/${name}`)
const isFresh = (name, value) => existsSync(stamp(name)) && readFileSync(stamp(name), 'utf8') === value
function keep(name, value) {
  mkdirSync(at('.data/stamps'), { recursive: true })
  writeFileSync(stamp(name), value)
}

/** Installs the packages of the lock file where they are not installed yet. */
export function ensurePackages() {
  const wanted = digest(['package-lock.json'])
  if (existsSync(at('node_modules/.package-lock.json')) && isFresh('packages', wanted)) return
  console.log('Installing packages (npm ci).')
  execFileSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel', 'error'], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: '1' },
  })
  keep('packages', wanted)
}

/** Writes the types and settings that tests, types and lint go by. */
export function prepareNuxt() {
  execFileSync('npx', ['nuxt', 'prepare', '--logLevel', 'silent'], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, NUXT_TELEMETRY_DISABLED: '1' },
  })
}

/** Builds the application where the build is not that of the sources. */
export function ensureBuild() {
  const wanted = digest(['app', 'core', 'server', 'shared', 'standin', 'docs/formats', 'public', 'nuxt.config.ts', 'package-lock.json'])
  if (existsSync(at('.output/server/index.mjs')) && isFresh('build', wanted)) return
  console.log('Building the application.')
  execFileSync('npx', ['nuxt', 'build', '--logLevel', 'silent'], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, NUXT_TELEMETRY_DISABLED: '1' },
  })
  keep('build', wanted)
}

/** Bundles the command line where a source of it has changed. */
export async function ensureCommandLine() {
  const { bundled } = await import('../bin/bundle.mjs')
  await bundled()
}
