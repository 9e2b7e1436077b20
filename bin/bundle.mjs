/** The command line bundled into one folder, so that it starts at once; made anew where a source has changed. */
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'

const root = fileURLToPath(new URL('..', import.meta.url))
const sources = ['core', 'bin', 'standin/body', 'docs/formats', 'package-lock.json']
const bundles = join(root, 'dist', 'agonis')

function addTo(hash, path) {
  const { mtimeMs, size } = statSync(path)
  hash.update(`${path} ${mtimeMs} ${size};`)
}

function addFolder(hash, folder) {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name)
    if (entry.isDirectory()) addFolder(hash, path)
    else if (!entry.name.endsWith('.test.ts')) addTo(hash, path)
  }
}

/** A name that changes with every source: told by time and size, since reading them all would take longer than the work. */
function nameOfSources() {
  const hash = createHash('sha1')
  for (const source of sources) {
    const path = join(root, source)
    if (statSync(path).isDirectory()) addFolder(hash, path)
    else addTo(hash, path)
  }
  return hash.digest('hex').slice(0, 16)
}

async function build(folder) {
  const { build: bundle } = await import('esbuild')
  const unfinished = `${folder}.${process.pid}`
  await bundle({
    entryPoints: [join(root, 'bin/main.ts')],
    outdir: unfinished,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    splitting: true,
    minifySyntax: true,
    minifyWhitespace: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    banner: { js: "import { createRequire as makeRequire } from 'node:module'; const require = makeRequire(import.meta.url);" },
    logLevel: 'error',
  })
  try {
    renameSync(unfinished, folder)
  } catch (error) {
    rmSync(unfinished, { recursive: true, force: true })
    if (!existsSync(folder)) throw error
  }
}

/** The address of the bundle of the sources at hand. Several may make it at once; each takes the first that is whole. */
export async function bundled() {
  const folder = join(bundles, nameOfSources())
  if (!existsSync(folder)) {
    mkdirSync(bundles, { recursive: true })
    const old = readdirSync(bundles)
    await build(folder)
    for (const name of old) rmSync(join(bundles, name), { recursive: true, force: true })
  }
  return pathToFileURL(join(folder, 'main.mjs'))
}
