import { sql } from 'drizzle-orm'
import PgBoss from 'pg-boss'
import type { Database } from '../db/client'
import { databaseUrl } from '../db/client'
import { loggable } from '../log/loggable'
import { log } from '../log/log'
import type { Jobs, QueueName } from './queues'
import { jobsSchema } from './queues'

let started: Promise<PgBoss> | undefined

/** The queues, as the plain role works with them; opened at the first use. */
export function sharedBoss(): Promise<PgBoss> {
  started ??= (async () => {
    const boss = new PgBoss({
      connectionString: databaseUrl(),
      schema: jobsSchema,
      migrate: false,
      schedule: false,
      supervise: true,
      maintenanceIntervalSeconds: 15,
      archiveCompletedAfterSeconds: 600,
      deleteAfterHours: 1,
      max: 4,
    })
    boss.on('error', error => log.warn(loggable(error), 'jobs'))
    return boss.start()
  })().catch((error: unknown) => {
    started = undefined
    throw error
  })
  return started
}

/** The channel on which the servers tell each other that a queue has something to do, or that a job is done. */
export const jobsChannel = 'agonis_jobs'

/** Puts a job into its queue and wakes whoever works there; one that waits there already for the same rows is enough. */
export async function enqueue<Q extends QueueName>(database: Database, queue: Q, data: Jobs[Q], afterSeconds = 0): Promise<string | null> {
  const boss = await sharedBoss()
  const id = await boss.send(queue, data, { singletonKey: data.watch, ...(afterSeconds > 0 ? { startAfter: afterSeconds } : {}) })
  if (afterSeconds === 0) await database.execute(sql`select pg_notify(${jobsChannel}, ${queue})`)
  return id
}
