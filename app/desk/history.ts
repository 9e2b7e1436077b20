import { get, set } from 'idb-keyval'

/** The editor's state with its undo history, as it serialises itself. */
export interface KeptHistory {
  doc: string
  state: unknown
}

const key = (id: string) => `agonis.history.${id}`

/** What can be undone in a session, kept over a reload. Null where this browser keeps nothing. */
export const keptHistory = (id: string): Promise<KeptHistory | null> =>
  get<KeptHistory>(key(id))
    .then(kept => kept ?? null)
    .catch(() => null)

export const keepHistory = (id: string, history: KeptHistory): Promise<void> => set(key(id), history).catch(() => {})
