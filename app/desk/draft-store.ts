import type { DBSchema, IDBPDatabase } from 'idb'
import { openDB } from 'idb'

/** Words typed in one tab and not yet on the server, kept in this browser after every change. */
export interface Draft {
  script: string
  /** The revision they go on top of. */
  base: number
  source: string | null
  /** The tab that typed them, which a draft keeps when another tab takes it over. */
  by: string
  /** When they were last changed, by this browser's clock in milliseconds. */
  change: number
}

interface DraftSchema extends DBSchema {
  drafts: { key: [session: string, tab: string]; value: Draft & { session: string; tab: string }; indexes: { session: string } }
}

let opened: Promise<IDBPDatabase<DraftSchema>> | undefined

const database = () =>
  (opened ??= openDB<DraftSchema>('agonis.desk', 1, {
    upgrade(created) {
      created.createObjectStore('drafts', { keyPath: ['session', 'tab'] }).createIndex('session', 'session')
    },
    terminated: () => (opened = undefined),
  }).catch((error: unknown) => {
    opened = undefined
    throw error
  }))

/** Writes a draft; done when it is on the disk, not before. */
export async function writeDraft(session: string, tab: string, draft: Draft): Promise<void> {
  const transaction = (await database()).transaction('drafts', 'readwrite', { durability: 'strict' })
  await Promise.all([transaction.store.put({ ...draft, session, tab }), transaction.done])
}

export async function removeDraft(session: string, tab: string): Promise<void> {
  const transaction = (await database()).transaction('drafts', 'readwrite', { durability: 'strict' })
  await Promise.all([transaction.store.delete([session, tab]), transaction.done])
}

/** Every draft of a session, by the tab that wrote it. */
export const readDrafts = async (session: string) => (await database()).getAllFromIndex('drafts', 'session', session)
