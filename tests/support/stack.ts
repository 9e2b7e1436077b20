import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { startStack } from '../../scripts/stack.mjs'

export type Stack = Awaited<ReturnType<typeof startStack>>

/** The whole application on a throw-away cluster; ends and leaves nothing. */
export async function throwAwayStack(demo: boolean): Promise<Stack & { folder: string }> {
  const folder = mkdtempSync(join(tmpdir(), 'agonis-test-'))
  const stack = await startStack({ folder, demo, quiet: true })
  const stop = async () => {
    await stack.stop()
    rmSync(folder, { recursive: true, force: true })
  }
  return { ...stack, stop, folder }
}
