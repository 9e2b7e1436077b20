import { createStore, delMany, entries, set } from 'idb-keyval'
import type { EngineEvent } from '~~/core/wrist/engine/engine'
import type { RunHead } from './replay'

/**
 * The journal of a run: what it began with, and every event since, written down every two seconds. A page that crashes loses no
 * more than that.
 */
export interface Journal {
  add: (event: EngineEvent) => void
  flush: () => Promise<void>
  end: () => Promise<void>
}

const place = () => createStore('agonis-phone-journal', 'events')
const flushEvery = 2000
const partKey = (part: number) => `part:${String(part).padStart(6, '0')}`

interface Written {
  head: RunHead | null
  events: EngineEvent[]
  parts: number
}

async function read(): Promise<Written> {
  const all = await entries<string, unknown>(place())
  const parts = all.filter(([key]) => key.startsWith('part:')).sort(([a], [b]) => (a < b ? -1 : 1))
  return {
    head: (all.find(([key]) => key === 'head')?.[1] as RunHead | undefined) ?? null,
    events: parts.flatMap(([, value]) => value as EngineEvent[]),
    parts: parts.length,
  }
}

/** A run whose end is not written down: the page went away in the middle of it. */
export async function unfinishedRun(): Promise<{ head: RunHead; events: EngineEvent[]; parts: number } | null> {
  const { head, ...rest } = await read()
  return head && { head, ...rest }
}

export async function forgetJournal(): Promise<void> {
  const all = await entries<string, unknown>(place())
  await delMany(
    all.map(([key]) => key),
    place(),
  )
}

/** Begins a journal, or goes on with one behind the parts it has. */
export async function openJournal(head: RunHead, parts = 0): Promise<Journal> {
  if (parts === 0) {
    await forgetJournal()
    await set('head', head, place())
  }
  let next = parts
  let fresh: EngineEvent[] = []
  let writing = Promise.resolve()
  const flush = () => {
    if (fresh.length === 0) return writing
    const [part, events] = [next++, fresh]
    fresh = []
    writing = writing.then(() => set(partKey(part), events, place()))
    return writing
  }
  const timer = setInterval(() => void flush(), flushEvery)
  return {
    add: event => fresh.push(event),
    flush,
    async end() {
      clearInterval(timer)
      fresh = []
      await writing
      await forgetJournal()
    },
  }
}
