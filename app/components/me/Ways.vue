<script setup lang="ts">
import type { Athlete, BesideSchool, CueSchool } from '~~/core/athlete/athlete'
import { cuesOf } from '~~/core/wrist/engine/settings'
import { formatTime, parseClock } from '~~/core/quantity/time'

/** How programs are named and pushed, and how the wrist makes itself heard. */
const props = defineProps<{ athlete: Athlete }>()
const emit = defineEmits<{ keep: [change: (athlete: Athlete) => Athlete] }>()
const schools = computed(() => props.athlete.schools ?? {})
const cues = computed(() => cuesOf(props.athlete))
const set = (change: NonNullable<Athlete['schools']>) =>
  emit('keep', athlete => ({ ...athlete, schools: { ...athlete.schools, ...change } }))
const setCues = (change: CueSchool) =>
  emit('keep', athlete => ({ ...athlete, schools: { ...athlete.schools, cues: { ...athlete.schools?.cues, ...change } } }))
function setLap(words: string) {
  const metres = Number(words)
  emit('keep', athlete => {
    const { autoLapMetres: _, ...others } = athlete.schools?.cues ?? {}
    return { ...athlete, schools: { ...athlete.schools, cues: metres >= 50 ? { ...others, autoLapMetres: metres } : others } }
  })
}
const wrong = reactive<Partial<Record<keyof BesideSchool, string>>>({})
/** A typed time, or nothing for none; what is no time is said and not kept. */
function setBeside(key: keyof BesideSchool, words: string) {
  const seconds = words.trim() === '' ? null : parseClock(words.trim())
  const least = key === 'drinkSeconds' || key === 'eatSeconds' ? 60 : 10
  wrong[key] = words.trim() !== '' && (seconds === null || seconds < least) ? `A time of ${formatTime(least)} or more: 20:00` : ''
  if (wrong[key]) return
  emit('keep', athlete => {
    const { [key]: _, ...others } = athlete.schools?.beside ?? {}
    return { ...athlete, schools: { ...athlete.schools, beside: seconds === null ? others : { ...others, [key]: seconds } } }
  })
}
const sayBeside = (key: keyof BesideSchool) => (schools.value.beside?.[key] === undefined ? '' : formatTime(schools.value.beside[key]!))
const besides = [
  ['drinkSeconds', 'drink every'],
  ['eatSeconds', 'eat every'],
  ['runSeconds', 'run for'],
  ['walkSeconds', 'then walk for'],
] as const
const naming = [
  ['telling', 'telling titles, kept as long as there is room'],
  ['weekday', 'the weekday, cleared when the week has ended'],
  ['slot', 'one slot, always called the same'],
] as const
const pushing = [
  ['week', 'the coming seven days'],
  ['today', 'today only'],
  ['hand', 'nothing: I send by hand'],
] as const
const channels = [
  ['voice', 'voice'],
  ['tone', 'tone'],
  ['tap', 'tap'],
  ['countdown', 'five seconds before a change'],
  ['halfway', 'half way'],
] as const
</script>

<template>
  <section>
    <h3>Names on the watch</h3>
    <MeOneOf label="Names on the watch" :ways="naming" :taken="schools.naming ?? 'telling'" @take="way => set({ naming: way })" />
  </section>
  <section>
    <h3>Pushing to the watch</h3>
    <MeOneOf label="Pushing to the watch" :ways="pushing" :taken="schools.pushing ?? 'week'" @take="way => set({ pushing: way })" />
    <p class="faint small">It is shown in Watches before it is done.</p>
  </section>
  <section>
    <h3>Cues</h3>
    <p v-for="[kind, words] in channels" :key="kind">
      <el-checkbox :model-value="cues[kind]" @change="setCues({ [kind]: !cues[kind] })">{{ words }}</el-checkbox>
    </p>
    <p>
      <label
        >lap every
        <TypedField class="mono lap" type="number" min="0" step="50" :value="cues.autoLapMetres ?? 0" @change="setLap($event)" />
        m, 0 for none</label
      >
    </p>
    <p class="faint small">On a road, eyes up: cues are heard or felt, the wrist is never required.</p>
  </section>
  <section>
    <h3>Beside every session</h3>
    <p v-for="[key, words] in besides" :key="key">
      <label
        >{{ words }}
        <TypedField
          class="mono lap"
          :value="sayBeside(key)"
          :aria-invalid="Boolean(wrong[key])"
          placeholder="never"
          @change="setBeside(key, $event)"
      /></label>
      <span v-if="wrong[key]" class="bad" role="alert">{{ wrong[key] }}</span>
    </p>
    <p class="faint small">A second programme: said between the session's own cues, never over them. Walking is for runs.</p>
  </section>
</template>

<style scoped>
p {
  margin: 4px 0;
}
h3 {
  font-size: 1.06rem;
  margin: 10px 0 4px;
}
label {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 24px;
}
.lap {
  width: 96px;
  text-align: right;
}
.small {
  font-size: 0.86rem;
}
</style>
