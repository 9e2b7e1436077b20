import { unitsOf } from '../../core/athlete/athlete'
import type { Around, GlassMode } from '../../core/wrist/engine/buttons'
import { knobWords } from '../../core/wrist/engine/buttons'
import { faceOf } from '../../core/wrist/engine/face'
import { programIn, slotStates } from '../../core/wrist/link/watch-memory'
import { shownCode } from '../../core/wrist/link/watch-receive'
import { changeableOf } from '../../core/wrist/program/change-there'
import { entrancesOf } from '../../core/wrist/program/program-steps'
import { rowsInWords } from '../../core/wrist/program/words'
import type { Glass } from '../../shared/api'
import type { Wearer } from './going'
import type { Kept, Make } from './kept'

/** What the knobs go by: the slots that hold something, and the run that goes on. */
export function aroundOf(kept: Kept): Around {
  const [memory, going] = [kept.memory(), kept.going()]
  return {
    slots: slotStates(memory)
      .filter(held => held.digest !== null)
      .map(held => held.slot),
    programOf: slot => programIn(memory, slot),
    going: going && { program: going.program, phase: going.state.phase },
  }
}

/** What the glass shows. */
export function glassOf(kept: Kept, { address, profile }: Make, mode: GlassMode, wearer: Wearer): Glass {
  const [memory, going, here] = [kept.memory(), kept.going(), aroundOf(kept)]
  const held = slotStates(memory).filter(slot => slot.digest !== null)
  const chosen = here.slots.includes(mode.chosen ?? -1) ? mode.chosen : (here.slots[0] ?? null)
  const units = unitsOf((going?.wearer ?? wearer).athlete)
  const pointed = going?.program ?? (chosen === null ? null : programIn(memory, chosen))
  return {
    watch: address,
    profile,
    slots: held.map(({ slot, name, by }) => ({ slot, name: name ?? '', isOwn: by === 'hand' })),
    chosen,
    rows: pointed && !going ? rowsInWords(pointed.items, units) : [],
    face: going ? faceOf(going.program, going.state, units) : null,
    said: going?.said && going.said.until > going.state.t ? going.said.words : null,
    entrances:
      mode.entering && pointed ? { words: entrancesOf(pointed, units).map(entrance => entrance.words), at: mode.entering.at } : null,
    changes: mode.changing && pointed && !going ? { words: changeableOf(pointed).map(row => row.words), at: mode.changing.at } : null,
    knobs: knobWords(mode, here),
    code: shownCode(memory, kept.now()),
    recordingsWaiting: memory.records.length,
    isPaired: memory.bond !== null,
    speed: going?.wearer.speed ?? wearer.speed,
    look: mode.look,
    links: kept.links(),
    ...kept.body(),
  }
}
