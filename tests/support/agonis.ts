import { spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { afterAll, beforeAll } from 'vitest'
import { ilse } from '../../demo/athlete'

const program = fileURLToPath(new URL('../../bin/agonis', import.meta.url))
let folder: string
export const file = (name: string) => join(folder, name)

/** Runs the command, and gives what it said. */
export function agonis(args: string[], input = '') {
  const { status, stdout, stderr } = spawnSync(program, args, { input, encoding: 'utf8', maxBuffer: 1e8 })
  return {
    status,
    stdout,
    stderr,
    json: <T>() => JSON.parse(stdout) as T,
    problems: stderr
      .trim()
      .split('\n')
      .filter(line => line.startsWith('{'))
      .map(line => JSON.parse(line) as { problem: string; line?: number; pointer?: string }),
  }
}

export const line = '16 min easy, 2 x (4 x (90 s @ 102-106 %CP, 1 min easy)) / 4 min easy, 12 min easy\n'

/** A folder of files for the tests of one file, with a line of text and an athlete in it. */
export function useFolder() {
  beforeAll(() => {
    folder = mkdtempSync(join(tmpdir(), 'agonis-bin-'))
    writeFileSync(file('line.txt'), line)
    writeFileSync(file('athlete.json'), JSON.stringify(ilse))
  })
  afterAll(() => rmSync(folder, { recursive: true, force: true }))
}
