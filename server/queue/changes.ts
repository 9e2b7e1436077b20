import { EventEmitter } from 'node:events'
import postgres from 'postgres'
import { databaseUrl } from '../db/client'
import { jobsChannel } from './boss'
import type { Change } from '../../shared/api'
import { loggable } from '../log/loggable'
import { log } from '../log/log'

/**
 * What changes, from every copy of the server, as PostgreSQL tells it: one connection of this process listens, whoever waits is told.
 *
 * Trap: it is a connection of its own straight to PostgreSQL, since a pooler in between would hear for somebody else.
 */
const told = new EventEmitter().setMaxListeners(0)
const changesChannel = 'agonis_changes'
let listening: Promise<void> | undefined

/** Begins to listen, once; a connection that is lost is made anew, and whoever waits is told to look again. */
export function listen(): Promise<void> {
  listening ??= (async () => {
    const connection = postgres(process.env.DATABASE_DIRECT_URL || databaseUrl(), { max: 1, idle_timeout: 0, onnotice: () => {} })
    await connection.listen(
      changesChannel,
      words => {
        const [owner, what, id] = words.split(' ') as [string, string, string]
        told.emit(owner, { what, id })
      },
      () => told.emit('again'),
    )
    await connection.listen(jobsChannel, words => told.emit('job', words))
  })().catch((error: unknown) => {
    listening = undefined
    log.warn(loggable(error), 'not listening to the database')
    throw error
  })
  return listening
}

/**
 * Tells what changes for one owner.
 *
 * @param hear is told what has changed; with null it was not heard for a while, and anything may have
 * @returns ends it
 */
export function onChange(owner: string, hear: (change: Change | null) => void): () => void {
  const again = () => hear(null)
  told.on(owner, hear)
  told.on('again', again)
  return () => {
    told.off(owner, hear)
    told.off('again', again)
  }
}

/** Tells of queues that have something to do, by their names, and of jobs that are done, by their ids. */
export function onJob(hear: (name: string) => void): () => void {
  told.on('job', hear)
  return () => told.off('job', hear)
}
