import type { ChildProcess } from 'node:child_process'

export interface RunningStack {
  address: string
  databaseUrl: string
  ownerUrl: string | null
  homeToken: string
  standinUrl: string
  standinKey: string
  server: ChildProcess
  standin: ChildProcess
  cluster: { url: string; child: ChildProcess; stop: () => Promise<void> } | null
  /** What the home network needs; null on this machine alone. */
  home: { authority: string; fingerprint: string; trustAt: string; reachedAt: string } | null
  /** One more copy of the server on the same database. */
  another: () => Promise<{ server: ChildProcess; address: string; stop: () => Promise<void> }>
  stop: () => Promise<void>
}

export function startStack(options: {
  folder: string
  demo: boolean
  port?: number
  databaseUrl?: string
  databaseOwnerUrl?: string
  newToken?: boolean
  quiet?: boolean
  entrance?: 'open' | 'locked' | 'home'
  hostName?: string
  bind?: string
  isReloading?: boolean
}): Promise<RunningStack>
export function keptSecret(folder: string, name: string): string
export const root: string
