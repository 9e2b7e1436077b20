import type { Act, Knob } from '~~/core/wrist/engine/buttons'
import { knobWords, pushKnob, restedGlass } from '~~/core/wrist/engine/buttons'
import type { Program } from '~~/core/wrist/program/program'
import { entrancesOf } from '~~/core/wrist/program/program-steps'
import type { Run } from './replay'
import type { HeldProgram } from './store'

/** What the glass shows where no step is led through, and what the three buttons do. */
export function useGlass(held: () => readonly HeldProgram[], run: () => Run | null, act: (act: Act) => void) {
  const mode = ref(restedGlass)
  const programOf = (slot: number): Program | null => held().find(entry => entry.slot === slot)?.program ?? null
  const around = computed(() => {
    const going = run()
    return {
      slots: held().map(entry => entry.slot),
      programOf,
      going: going ? { program: going.head.program, phase: going.state.phase } : null,
    }
  })
  const chosen = computed(() => (held().some(entry => entry.slot === mode.value.chosen) ? mode.value.chosen : (held()[0]?.slot ?? null)))
  const entrances = computed(() => {
    const program = run()?.head.program ?? (chosen.value === null ? null : programOf(chosen.value))
    return mode.value.entering && program
      ? { words: entrancesOf(program).map(entrance => entrance.words), at: mode.value.entering.at }
      : null
  })
  const slots = computed(() => held().map(entry => ({ slot: entry.slot, name: entry.program.name })))
  const words = computed(() => knobWords(mode.value, around.value))

  function onKnob(knob: Knob, isHeld: boolean) {
    const pushed = pushKnob(mode.value, knob, isHeld, around.value)
    mode.value = pushed.mode
    act(pushed.act)
  }
  const rest = () => (mode.value = restedGlass)

  return { mode, chosen, entrances, slots, words, onKnob, rest }
}
