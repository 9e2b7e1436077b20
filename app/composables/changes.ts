import type { Change } from '~~/shared/api'

type Hear = (change: Change | null) => void

const hearing = new Set<Hear>()
const tell: Hear = change => hearing.forEach(hear => hear(change))
let isListening = false

/** Listens to the server for all tabs of this browser, for as long as this tab is the one that does. */
function listenForAll(channel: BroadcastChannel): Promise<never> {
  return new Promise(() => {
    const source = new EventSource('/api/changes')
    const both: Hear = change => {
      tell(change)
      channel.postMessage(change)
    }
    source.addEventListener('change', event => both(JSON.parse((event as MessageEvent<string>).data) as Change))
    source.addEventListener('look', () => both(null))
  })
}

/**
 * Begins to hear. One tab holds the line for all: a browser gives a host six lines, and a seventh tab would wait for ever. When that tab
 * closes, the next takes the line over.
 */
function listen(): void {
  if (isListening) return
  isListening = true
  const channel = new BroadcastChannel('agonis.changes')
  channel.addEventListener('message', event => tell(event.data as Change | null))
  void navigator.locks.request('agonis.changes', () => listenForAll(channel))
}

/** Hears what changes of the athlete's, in this tab, another, on a watch or a phone; null says that anything may have. */
export function hearChanges(hear: Hear): () => void {
  listen()
  hearing.add(hear)
  return () => hearing.delete(hear)
}

/**
 * Looks again whenever rows of these kinds have changed, once for many changes at a time, while the component is there.
 *
 * @param kinds of rows
 */
export function useChanges(kinds: readonly Change['what'][], look: () => unknown): void {
  const soon = useDebounceFn(look, 150, { maxWait: 600 })
  let end = () => {}
  let isFirst = true
  onMounted(() => {
    end = hearChanges(change => {
      if (change === null && isFirst) return void (isFirst = false)
      if (change === null || kinds.includes(change.what)) void soon()
    })
  })
  onBeforeUnmount(() => end())
}
