import { unitsOf } from '../../core/athlete/athlete'
import type { Around, GlassMode } from '../../core/wrist/engine/buttons'
import { knobWords } from '../../core/wrist/engine/buttons'
import { faceOf } from '../../core/wrist/engine/face'
import { programIn, slotStates } from '../../core/wrist/link/watch-memory'
import { shownCode } from '../../core/wrist/link/watch-receive'
import { entrancesOf } from '../../core/wrist/program/program-steps'
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
  const pointed = going?.program ?? (chosen === null ? null : programIn(memory, chosen))
  return {
    watch: address,
    profile,
    slots: held.map(({ slot, name }) => ({ slot, name: name ?? '' })),
    chosen,
    face: going ? faceOf(going.program, going.state, unitsOf(going.wearer.athlete)) : null,
    said: going?.said && going.said.until > going.state.t ? going.said.words : null,
    entrances: mode.entering && pointed ? { words: entrancesOf(pointed).map(entrance => entrance.words), at: mode.entering.at } : null,
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
