import type { Athlete } from '../../core/athlete/athlete'
import { fit } from '../../core/wrist/fit/fit'
import { readScript } from '../../core/script/reader/read-script'
import { profileNamed } from '../../core/wrist/program/profile'
import type { Program, ProgramItem } from '../../core/wrist/program/program'
import type { WatchMemory } from '../../core/wrist/link/watch-memory'
import { handPut, keepRecording, programIn } from '../../core/wrist/link/watch-memory'
import { nobody } from '../../core/athlete/standpoint'
import { rehearse } from '../body/rehearse'

/** What a hand may do to a watch beside pushing its three buttons. */
export type HandAct =
  | { do: 'make' }
  | { do: 'edit' | 'delete'; slot: number }
  | { do: 'power'; on: boolean }
  | { do: 'clock'; off: number }
  | { do: 'reset' }
  /** What was carried out before anybody looked: the body wears the watch through the whole of a slot. */
  | { do: 'carry-out'; slot: number; startedAt: string; athlete: Athlete }

const own: Program = fit(
  readScript('title Own quarter hour\nsport run\n\n5:00\n5:00 @ RPE 6\n5:00', nobody).sessions[0]!,
  profileNamed('all-sport')!,
  nobody,
).program

/** A minute more on the first step that ends by time, or another name where none does. */
function edited(program: Program): Program {
  let isDone = false
  const change = (item: ProgramItem): ProgramItem => {
    if (isDone) return item
    if (item.kind === 'block') return { ...item, items: item.items.map(change) }
    if (item.end.on !== 'time') return item
    isDone = true
    return { ...item, end: { on: 'time', seconds: item.end.seconds + 60 } }
  }
  const items = program.items.map(change)
  return isDone ? { ...program, items } : { ...program, name: `${program.name.slice(0, 20)}, own` }
}

/** What making, editing or deleting a program with the buttons leaves in the memory; null where it cannot be done now. */
export function byHand(memory: WatchMemory, act: HandAct): WatchMemory | null {
  switch (act.do) {
    case 'make': {
      const free = memory.slots.find(held => held.digest === null)
      return free ? handPut(memory, free.slot, own) : null
    }
    case 'edit': {
      const program = programIn(memory, act.slot)
      return program && handPut(memory, act.slot, edited(program))
    }
    case 'delete':
      return handPut(memory, act.slot, null)
    case 'carry-out': {
      const program = programIn(memory, act.slot)
      return program && keepRecording(memory, rehearse(program, act.athlete, { ...act, seed: 1, timeZone: act.athlete.timeZone }))
    }
    default:
      return null
  }
}
