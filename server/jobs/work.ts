import { sql } from 'drizzle-orm'
import type PgBoss from 'pg-boss'
import type { Database } from '../db/client'
import { sharedDatabase } from '../db/client'
import { listen, onJob } from '../queue/changes'
import { collectRecordings } from '../services/collect'
import { loggable } from '../log/loggable'
import { log } from '../log/log'
import { Problem } from '../services/problem'
import { doRoutine, routinesDue } from '../services/routine'
import { tend } from '../services/tend'
import { enqueue, jobsChannel, sharedBoss } from '../queue/boss'
import type { Jobs, QueueName } from '../queue/queues'
import { queueNames } from '../queue/queues'

/** Jobs of one queue that one server does at a time. */
const workersOfEach = 6
/** Seconds after which it is seen again whose hour has come. */
const mindAgainAfter = 10

/** What a job that waited for comes to: what it gave, or why not, in words for whoever waits. */
export type Outcome<T> = { gave: T } | { problem: Pick<Problem, 'status' | 'problem' | 'where' | 'hint' | 'details'> }

async function outcomeOf<T>(work: Promise<T>): Promise<Outcome<T>> {
  try {
    return { gave: await work }
  } catch (error) {
    if (!(error instanceof Problem)) throw error
    const { status, problem, where, hint, details } = error
    return { problem: { status, problem, where, hint, details } }
  }
}

const handlers: { [Q in QueueName]: (database: Database, job: Jobs[Q]) => Promise<unknown> } = {
  async tending(database, { owner, watch }) {
    if ((await tend(database, owner, watch)) === 'more') await enqueue(database, 'tending', { owner, watch }, 1)
  },
  collecting: (database, { owner, watch }) => outcomeOf(collectRecordings(database, owner, watch)),
  async minding(database) {
    for (const { owner, watch } of await routinesDue(database)) await enqueue(database, 'routine', { owner, watch })
    await enqueue(database, 'minding', { watch: 'all' }, mindAgainAfter)
  },
  routine: (database, { owner, watch }) => doRoutine(database, owner, watch),
}

async function workAt<Q extends QueueName>(boss: PgBoss, database: Database, queue: Q): Promise<string[]> {
  const ids: string[] = []
  for (let count = 0; count < workersOfEach; count++)
    ids.push(
      await boss.work<Jobs[Q]>(queue, { batchSize: 1, pollingIntervalSeconds: 2 }, async ([job]) => {
        try {
          return await handlers[queue](database, job!.data)
        } catch (error) {
          log.warn({ job: job!.id, queue, ...loggable(error) }, 'a job is tried again')
          throw new Error('tried again', { cause: error })
        } finally {
          /** Trap: the job is completed only after this returns; whoever waits looks until it is. */
          setImmediate(() => void database.execute(sql`select pg_notify(${jobsChannel}, ${job!.id})`).catch(() => {}))
        }
      }),
    )
  return ids
}

/** What a server that died had begun is gone on with at once, not only when its jobs are taken for left behind. */
async function goOnWithWhatWasLeft(database: Database): Promise<void> {
  const left = await database.execute<{ owner: string; watch: string }>(sql`select owner, watch from watches_left_behind()`)
  for (const { owner, watch } of left) await enqueue(database, 'tending', { owner, watch })
}

/** Begins to do the jobs that are due, and to hear of new ones; ends when the server does. */
export async function startWorking(): Promise<() => Promise<void>> {
  const database = sharedDatabase()
  await listen()
  const boss = await sharedBoss()
  const workers = new Map<string, string[]>()
  for (const queue of queueNames) workers.set(queue, await workAt(boss, database, queue))
  await goOnWithWhatWasLeft(database)
  await enqueue(database, 'minding', { watch: 'all' })
  const deaf = onJob(name => workers.get(name)?.forEach(id => boss.notifyWorker(id)))
  return async () => {
    deaf()
    await boss.stop({ graceful: true, timeout: 3000 })
  }
}
