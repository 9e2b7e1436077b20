import PgBoss from 'pg-boss'
import postgres from 'postgres'

/**
 * What is done apart from a request, by whichever copy of the server is free: kept in PostgreSQL, so that it survives the one that
 * began it. A job names rows; what is to be done stands in these.
 */
export interface Jobs {
  /** Clear and send what is due at a watch. */
  tending: { owner: string; watch: string }
  /** Bring a watch's recordings home. */
  collecting: { owner: string; watch: string }
  /** See whose hour has come, and look again a little later. */
  minding: { watch: 'all' }
  /** Push or clear a watch by itself, at its athlete's hour. */
  routine: { owner: string; watch: string }
}
export type QueueName = keyof Jobs

export const jobsSchema = 'jobs'

/** Seconds after which a job is taken for left behind by a server that died, and given to another. */
const expireInSeconds = 60

/** Trap: of the policy `short` only one job of a watch waits at a time; the next may wait already while it is at work. */
const queues: Record<QueueName, PgBoss.Queue> = {
  tending: { name: 'tending', policy: 'short', expireInSeconds, retryLimit: 1000, retryDelay: 1, retentionDays: 1 },
  collecting: { name: 'collecting', policy: 'standard', expireInSeconds, retryLimit: 3, retryDelay: 1, retentionDays: 1 },
  minding: { name: 'minding', policy: 'short', expireInSeconds, retryLimit: 1000, retryDelay: 1, retentionDays: 1 },
  routine: { name: 'routine', policy: 'short', expireInSeconds, retryLimit: 3, retryDelay: 1, retentionDays: 1 },
}
export const queueNames = Object.keys(queues) as QueueName[]

/** Makes or updates the queues' tables, as the database's owner; the plain role works with them. */
export async function prepareQueues(ownerUrl: string): Promise<void> {
  const boss = new PgBoss({ connectionString: ownerUrl, schema: jobsSchema, supervise: false, schedule: false, max: 2 })
  boss.on('error', () => {})
  await boss.start()
  for (const name of queueNames) {
    if (await boss.getQueue(name)) await boss.updateQueue(name, queues[name])
    else await boss.createQueue(name, queues[name])
  }
  await boss.stop({ graceful: false })
  const connection = postgres(ownerUrl, { max: 1, onnotice: () => {} })
  await connection`grant usage on schema ${connection(jobsSchema)} to agonis_app`
  await connection`grant select, insert, update, delete on all tables in schema ${connection(jobsSchema)} to agonis_app`
  await connection.end()
}
