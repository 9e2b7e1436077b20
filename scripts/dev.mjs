/** npm run dev: everything that start starts, on data of its own, with the pages and the server read anew at every change. */
import { join } from 'node:path'
import { ensurePackages, prepareNuxt } from './prepare.mjs'

let stack = null
const end = async code => {
  await stack?.stop()
  process.exit(code)
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void end(0))

ensurePackages()
prepareNuxt()
const { root, startStack } = await import('./stack.mjs')
stack = await startStack({ folder: join(root, '.data', 'dev'), demo: true, port: Number(process.env.PORT ?? 4180), isReloading: true })
console.log(`Agonis is at ${stack.address}   (Ctrl+C ends it)`)
stack.server.once('exit', () => void end(1))
