import { createStore, del, entries, get, set } from 'idb-keyval'
import type { Loss } from '~~/core/wrist/fit/fit'
import type { Program } from '~~/core/wrist/program/program'
import type { Recording } from '~~/core/record/recording'
import { digestOf } from '~~/core/wrist/program/digest'

/** What this phone holds by itself, without a server: programs, and recordings that have not come home yet. */
export interface HeldProgram {
  slot: number
  session: string
  program: Program
  digest: string
  losses: Loss[]
  /** Counts or lengths were changed here, with the buttons. */
  isChanged?: boolean
  day: string | null
}
export interface WaitingRecording {
  digest: string
  recording: Recording
  program: Program
  session: string | null
}

const place = () => createStore('agonis-phone', 'held')

export const heldPrograms = async (): Promise<HeldProgram[]> => (await get<HeldProgram[]>('programs', place())) ?? []
export const holdPrograms = (programs: HeldProgram[]) => set('programs', programs, place())

export async function keepWaiting(recording: Recording, program: Program, session: string | null): Promise<void> {
  const digest = digestOf(recording)
  await set(`waiting:${digest}`, { digest, recording, program, session } satisfies WaitingRecording, place())
}
export const letGo = (digest: string) => del(`waiting:${digest}`, place())

export async function waitingRecordings(): Promise<WaitingRecording[]> {
  const all = await entries<string, unknown>(place())
  return all.flatMap(([key, value]) => (key.startsWith('waiting:') ? [value as WaitingRecording] : []))
}
