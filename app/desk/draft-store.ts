import type { DBSchema, IDBPDatabase } from 'idb'
import { openDB } from 'idb'
import type { Draft } from './draft'

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
