import { setTimeout as pause } from 'node:timers/promises'
import type { Database } from '../db/client'
import { listen, onJob } from '../queue/changes'
import { Problem } from '../services/problem'
import { enqueue, sharedBoss } from '../queue/boss'
import type { Jobs, QueueName } from '../queue/queues'
import type { Outcome } from './work'

const waitAtMost = 25_000
const completesWithin = 200

/**
 * Puts a job into its queue and waits for what it gives, wherever it is done.
 *
 * @returns what it gave; null where it goes on longer than anybody waits for an answer
 * @throws Problem what the job could not do
 */
export async function outcomeOfJob<Q extends QueueName, T>(database: Database, queue: Q, data: Jobs[Q]): Promise<T | null> {
  await listen()
  const boss = await sharedBoss()
  const done = new Set<string>()
  let wake = () => {}
  const deaf = onJob(name => {
    done.add(name)
    wake()
  })
  try {
    const id = (await enqueue(database, queue, data))!
    for (const end = Date.now() + waitAtMost; Date.now() < end;) {
      if (!done.has(id))
        await Promise.race([new Promise<void>(resolve => (wake = resolve)), pause(end - Date.now(), undefined, { ref: false })])
      if (!done.has(id)) continue
      const job = await boss.getJobById<Jobs[Q]>(queue, id)
      if (job?.state === 'completed') return answerOf(job.output as unknown as Outcome<T>)
      if (job?.state === 'failed') return null
      await pause(completesWithin)
    }
    return null
  } finally {
    deaf()
  }
}

function answerOf<T>(outcome: Outcome<T>): T {
  if ('gave' in outcome) return outcome.gave
  const { status, problem, where, hint, details } = outcome.problem
  throw new Problem(status, problem, where, hint, details)
}
