import type { Act, Knob } from '~~/core/wrist/engine/buttons'
import { knobWords, pushKnob, restedGlass } from '~~/core/wrist/engine/buttons'
import type { Program } from '~~/core/wrist/program/program'
import { changeableOf } from '~~/core/wrist/program/change-there'
import { rowsInWords } from '~~/core/wrist/program/words'
import type { Units } from '~~/core/athlete/athlete'
import { entrancesOf } from '~~/core/wrist/program/program-steps'
import type { Run } from './replay'
import type { HeldProgram } from './store'

/** What the glass shows where no step is led through, and what the three buttons do. */
export function useGlass(held: () => readonly HeldProgram[], run: () => Run | null, act: (act: Act) => void, units: () => Units) {
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
  const pointed = computed(() => run()?.head.program ?? (chosen.value === null ? null : programOf(chosen.value)))
  const entrances = computed(() => {
    const program = pointed.value
    return mode.value.entering && program
      ? { words: entrancesOf(program, units()).map(entrance => entrance.words), at: mode.value.entering.at }
      : null
  })
  const changes = computed(() =>
    mode.value.changing && pointed.value && !run()
      ? { words: changeableOf(pointed.value).map(row => row.words), at: mode.value.changing.at }
      : null,
  )
  const rows = computed(() => (pointed.value && !run() ? rowsInWords(pointed.value.items, units()) : []))
  const slots = computed(() => held().map(entry => ({ slot: entry.slot, name: entry.program.name, isOwn: entry.isChanged ?? false })))
  const words = computed(() => knobWords(mode.value, around.value))

  function onKnob(knob: Knob, isHeld: boolean) {
    const pushed = pushKnob(mode.value, knob, isHeld, around.value)
    mode.value = pushed.mode
    act(pushed.act)
  }
  const rest = () => (mode.value = restedGlass)

  return { mode, chosen, entrances, changes, rows, slots, words, onKnob, rest }
}
