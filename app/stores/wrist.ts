import type { Loss } from '~~/core/wrist/fit'
import type { Program } from '~~/core/wrist/program'

export interface WatchEntry { id: string, name: string, address: string, profile: { name: string, maxSteps: number, maxNesting: number, slots: number } }
export interface TransferState {
  id: string, watchId: string, sessionId: string, slot: number, title: string
  state: 'sending' | 'stopped' | 'done', arrived: number, size: number, problem: string | null, updatedAt: string
}
export interface SlotRow {
  slot: number, standing: 'equal' | 'missing' | 'different' | 'extra' | 'empty', generation: number, holds: string | null
  should: { title: string, sessionId: string | null, revision: number, readBackAt: string | null } | null, older: boolean
}
export interface WatchState { watch: string, incarnation: string, clock: string, rows: SlotRow[], transfers: TransferState[] }
export interface FitPreview { losses: Loss[], fits: boolean, program: Program }

const followEvery = 250

/** The athlete's watches, and the sending that is being followed. */
export const useWristStore = defineStore('wrist', () => {
  const watches = ref<WatchEntry[]>([])
  const transfer = ref<TransferState | null>(null)

  async function load() {
    watches.value = await api<WatchEntry[]>('/watches')
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
