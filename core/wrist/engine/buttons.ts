import type { StepPosition, Program } from '../program/program'
import type { Button, EngineState } from './engine-state'
import { changeableOf } from '../program/change-there'
import { entrancesOf } from '../program/program-steps'

/** The three buttons of a watch: top, middle and bottom, pushed or held for a second. */
export type Knob = 'top' | 'middle' | 'bottom'

/** What the glass is showing beside the face itself. */
export interface GlassMode {
  /** The slot chosen in the list. */
  chosen: number | null
  /** Choosing where to begin or to jump to, and the entrance pointed at. */
  entering: { at: number } | null
  /** Changing the chosen program's counts and lengths, and the one pointed at. */
  changing: { at: number } | null
  /** The page of more numbers is shown. */
  look: boolean
}

export const restedGlass: GlassMode = { chosen: null, entering: null, changing: null, look: false }

/** What a push asks of the watch. */
export type Act =
  | { do: 'nothing' }
  | { do: 'start'; slot: number; from?: StepPosition }
  | { do: 'push'; button: Button }
  | { do: 'jump'; to: StepPosition }
  | { do: 'change'; slot: number; program: Program }
  | { do: 'code' }

export interface Around {
  /** Slots that hold a program, in order. */
  slots: readonly number[]
  programOf: (slot: number) => Program | null
  /** The program that is being carried out, and how it stands. */
  going: { program: Program; phase: EngineState['phase'] } | null
}

const nothing: Act = { do: 'nothing' }

/** More or less of what is pointed at; the next one; or back to the list. */
function whileChanging(mode: GlassMode, knob: Knob, isHeld: boolean, slot: number, program: Program): { mode: GlassMode; act: Act } {
  const rows = changeableOf(program)
  const at = (mode.changing?.at ?? 0) % Math.max(1, rows.length)
  if (knob === 'bottom')
    return { mode: { ...mode, changing: isHeld || rows.length === 0 ? null : { at: (at + 1) % rows.length } }, act: nothing }
  const changed = rows[at]?.by(knob === 'top' ? 1 : -1)
  return { mode: { ...mode, changing: { at } }, act: changed ? { do: 'change', slot, program: changed } : nothing }
}

function onTheList(mode: GlassMode, knob: Knob, isHeld: boolean, { slots, programOf }: Around): { mode: GlassMode; act: Act } {
  const chosen = slots.includes(mode.chosen ?? -1) ? mode.chosen : (slots[0] ?? null)
  const program = chosen === null ? null : programOf(chosen)
  if (mode.entering && program) {
    const entrances = entrancesOf(program)
    if (knob === 'bottom')
      return { mode: { ...mode, entering: isHeld ? null : { at: (mode.entering.at + 1) % entrances.length } }, act: nothing }
    if (knob === 'top')
      return { mode: { ...mode, entering: null }, act: { do: 'start', slot: chosen!, from: entrances[mode.entering.at]!.at } }
    return { mode: { ...mode, entering: null }, act: nothing }
  }
  if (mode.changing && program) return whileChanging(mode, knob, isHeld, chosen!, program)
  switch (knob) {
    case 'top':
      return { mode: { ...mode, chosen }, act: chosen === null ? nothing : { do: 'start', slot: chosen } }
    case 'middle':
      return isHeld ? { mode, act: { do: 'code' } } : { mode: { ...mode, chosen, entering: program ? { at: 0 } : null }, act: nothing }
    case 'bottom': {
      if (isHeld) return { mode: { ...mode, chosen, changing: program ? { at: 0 } : null }, act: nothing }
      const next = slots.length === 0 ? null : slots[(slots.indexOf(chosen!) + 1) % slots.length]!
      return { mode: { ...mode, chosen: next }, act: nothing }
    }
  }
}

function whileGoing(
  mode: GlassMode,
  knob: Knob,
  isHeld: boolean,
  { program, phase }: NonNullable<Around['going']>,
): { mode: GlassMode; act: Act } {
  const push = (button: Button) => ({ mode, act: { do: 'push' as const, button } })
  if (mode.entering) {
    const entrances = entrancesOf(program)
    if (knob === 'bottom')
      return { mode: { ...mode, entering: isHeld ? null : { at: (mode.entering.at + 1) % entrances.length } }, act: nothing }
    return { mode: { ...mode, entering: null }, act: knob === 'middle' ? { do: 'jump', to: entrances[mode.entering.at]!.at } : nothing }
  }
  switch (knob) {
    case 'top':
      return isHeld ? { mode: { ...mode, entering: { at: 0 } }, act: nothing } : push(phase === 'paused' ? 'resume' : 'pause')
    case 'middle':
      return push(isHeld ? 'skip' : 'press')
    case 'bottom':
      return isHeld ? push(phase === 'paused' ? 'stop' : 'back') : { mode: { ...mode, look: !mode.look }, act: nothing }
  }
}

/**
 * What a push of a button does: three suffice for everything, and none of them does harm by being pushed too often.
 *
 * Nothing going: top begins, bottom goes to the next program and held it opens what can be changed of the chosen one; middle opens
 * where to begin, held it shows the code for pairing. Changing: top makes more, middle less, bottom goes to the next, held it closes.
 * Going: top pauses and goes on, held it opens where to jump to; middle presses, held it skips; bottom looks, held it takes back,
 * and while paused it ends. Among entrances: bottom goes to the next, held it closes; top (to begin) or middle (to jump) takes it.
 */
export const pushKnob = (mode: GlassMode, knob: Knob, isHeld: boolean, around: Around): { mode: GlassMode; act: Act } =>
  around.going ? whileGoing(mode, knob, isHeld, around.going) : onTheList(mode, knob, isHeld, around)

/** What each button does now, in a word, for those who read it. */
export function knobWords(mode: GlassMode, around: Around): Record<Knob, string> {
  if (mode.entering)
    return around.going ? { top: 'close', middle: 'jump', bottom: 'next' } : { top: 'begin', middle: 'close', bottom: 'next' }
  if (mode.changing && !around.going) return { top: 'more', middle: 'less', bottom: 'next' }
  if (around.going) return { top: around.going.phase === 'paused' ? 'resume' : 'pause', middle: 'press', bottom: 'look' }
  return { top: 'go', middle: 'from', bottom: 'next' }
}
