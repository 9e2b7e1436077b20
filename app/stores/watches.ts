import type { KeptWatch, LinkKind, TransferState } from '~~/shared/api'

/** The athlete's watches, and the sending that is being followed. */
export const useWatchesStore = defineStore('wrist', () => {
  const watches = ref<KeptWatch[]>([])
  const transfer = ref<TransferState | null>(null)

  async function load() {
    watches.value = await api<KeptWatch[]>('/watches')
  }

  /** The watch asked for, else the first that can hold repeats, else any. */
  const preferred = (id?: unknown) =>
    watches.value.find(watch => watch.id === id) ??
    watches.value.find(watch => watch.isPaired && watch.profile.maxNesting > 0) ??
    watches.value[0]

  /** Looks at a sending whenever it has changed, until it is at its end or another one is followed. */
  async function follow(started: TransferState) {
    transfer.value = started
    const isOpen = () => transfer.value?.id === started.id && transfer.value.state === 'sending'
    let hasChanged = true
    let wake = () => {}
    const end = hearChanges(change => {
      if (change !== null && change.id !== started.id) return
      hasChanged = true
      wake()
    })
    try {
      while (isOpen()) {
        if (!hasChanged) await new Promise<void>(resolve => (wake = resolve))
        hasChanged = false
        if (isOpen()) transfer.value = await api<TransferState>(`/transfers/${started.id}`)
      }
    } finally {
      end()
    }
  }

  /** `digest`: of the program that was looked at; `over`: what was changed on the watch may be replaced. */
  const send = async (watchId: string, session: string, asked: { digest?: string; over?: boolean } = {}) =>
    follow(await api<TransferState>(`/watches/${watchId}/transfers`, { method: 'POST', body: { session, ...asked } }))
  const resume = async (id: string) => follow(await api<TransferState>(`/transfers/${id}/resume`, { method: 'POST' }))
  const cancelSending = async (id: string) => follow(await api<TransferState>(`/transfers/${id}/cancel`, { method: 'POST' }))

  const taken = (changed: KeptWatch) => {
    watches.value = watches.value.map(watch => (watch.id === changed.id ? changed : watch))
    return changed
  }
  const change = async (id: string, changes: { name?: string; link?: LinkKind; profile?: unknown; standing?: Record<string, string> }) =>
    taken(await api<KeptWatch>(`/watches/${id}`, { method: 'PUT', body: changes }))
  const pair = async (id: string, code: string) => taken(await api<KeptWatch>(`/watches/${id}/pair`, { method: 'POST', body: { code } }))
  async function add(asked: { name: string; profile?: string; address?: string }) {
    const added = await api<KeptWatch>('/watches', { method: 'POST', body: asked })
    await load()
    return added
  }
  async function forget(id: string) {
    await api(`/watches/${id}`, { method: 'DELETE' })
    await load()
  }
  /** Sets or lifts a standing choice about a sort of loss. */
  async function stand(id: string, about: string, way: string | null) {
    const { [about]: _, ...others } = watches.value.find(watch => watch.id === id)?.standing ?? {}
    await change(id, { standing: way === null ? others : { ...others, [about]: way } })
  }

  return { watches, transfer, load, preferred, follow, send, resume, cancelSending, change, pair, add, forget, stand }
})
