import type { TestProject } from 'vitest/node'
import { throwAwayStack } from '../support/stack'

declare module 'vitest' {
  interface ProvidedContext {
    address: string
    databaseUrl: string
    ownerUrl: string
    serverPid: number
    homeToken: string
    standinUrl: string
    standinKey: string
  }
}

export default async function setup(project: TestProject) {
  const stack = await throwAwayStack(false)
  for (const name of ['address', 'databaseUrl', 'homeToken', 'standinUrl', 'standinKey'] as const) project.provide(name, stack[name])
  project.provide('serverPid', stack.server.pid!)
  project.provide('ownerUrl', stack.ownerUrl!)
  return stack.stop
}
