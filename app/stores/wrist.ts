import type { KeptWatch, TransferState } from '~~/shared/api'

const followEvery = 250

/** The athlete's watches, and the sending that is being followed. */
export const useWristStore = defineStore('wrist', () => {
  const watches = ref<KeptWatch[]>([])
  const transfer = ref<TransferState | null>(null)

  async function load() {
    watches.value = await api<KeptWatch[]>('/watches')
  }

  /** The watch asked for, else the first that can hold repeats, else any. */
  const preferred = (id?: unknown) =>
    watches.value.find(watch => watch.id === id) ?? watches.value.find(watch => watch.profile.maxNesting > 0) ?? watches.value[0]

  async function follow(started: TransferState) {
    transfer.value = started
    while (transfer.value?.id === started.id && transfer.value.state === 'sending') {
      await new Promise(resolve => setTimeout(resolve, followEvery))
      transfer.value = await api<TransferState>(`/transfers/${started.id}`)
    }
  }

  const send = async (watchId: string, session: string) => follow(await api<TransferState>(`/watches/${watchId}/transfers`, { method: 'POST', body: { session } }))
  const resume = async (id: string) => follow(await api<TransferState>(`/transfers/${id}/resume`, { method: 'POST' }))

  return { watches, transfer, load, preferred, send, resume, follow }
})
