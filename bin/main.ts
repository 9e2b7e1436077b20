import { parseArgs } from 'node:util'
import { BadInput } from './files'
import type { Values } from './usage'
import { options, usage, WrongUse } from './usage'

type Command = (files: string[], values: Values) => Promise<number>

/** Each command is loaded when it is asked for, so that none waits for what another needs. */
const commands: Readonly<Record<string, () => Promise<{ run: Command }>>> = {
  read: () => import('./commands/read'),
  print: () => import('./commands/print'),
  diff: () => import('./commands/diff'),
  convert: () => import('./commands/convert'),
  reckon: () => import('./commands/reckon'),
  numbers: () => import('./commands/numbers'),
  nudges: () => import('./commands/nudges'),
  forecast: () => import('./commands/forecast'),
  fit: () => import('./commands/fit'),
  rehearse: () => import('./commands/rehearse'),
  score: () => import('./commands/score'),
  next: () => import('./commands/next'),
}

async function run(name: string, files: string[], values: Values): Promise<number> {
  const command = Object.hasOwn(commands, name) ? commands[name] : undefined
  if (!command) throw new WrongUse(`there is no command ${name}`)
  return (await command()).run(files, values)
}

async function main(): Promise<number> {
  try {
    const { values, positionals: words } = parseArgs({ options, allowPositionals: true })
    if (values.help) {
      process.stdout.write(`${usage}\n`)
      return 0
    }
    const [command, ...files] = words
    if (command === undefined) throw new WrongUse('a command is needed')
    return await run(command, files, values)
  } catch (error) {
    if (error instanceof BadInput) {
      for (const diagnostic of error.diagnostics) process.stderr.write(`${JSON.stringify(diagnostic)}\n`)
      return 1
    }
    if (error instanceof WrongUse || (error instanceof TypeError && 'code' in error)) {
      process.stderr.write(`${JSON.stringify({ problem: error.message })}\n${usage}\n`)
      return 2
    }
    if (process.env.AGONIS_TRACE) console.error(error)
    process.stderr.write(
      `${JSON.stringify({ problem: error instanceof RangeError ? 'nested too deep, or too large' : (error as Error).message })}\n`,
    )
    return 1
  }
}

/** Who reads the output may have had enough of it. */
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code !== 'EPIPE') throw error
  process.exit(0)
})

process.exitCode = await main()
