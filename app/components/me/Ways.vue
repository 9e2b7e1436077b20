<script setup lang="ts">
import type { Athlete, BesideSchool, CueSchool } from '~~/core/athlete/athlete'
import { cuesOf } from '~~/core/wrist/engine/settings'
import { formatTime, parseClock } from '~~/core/quantity/time'
import { meWays as texts } from '~/texts/en'

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
  wrong[key] = words.trim() !== '' && (seconds === null || seconds < least) ? texts.aTimeOfOr(formatTime(least)) : ''
  if (wrong[key]) return
  emit('keep', athlete => {
    const { [key]: _, ...others } = athlete.schools?.beside ?? {}
    return { ...athlete, schools: { ...athlete.schools, beside: seconds === null ? others : { ...others, [key]: seconds } } }
  })
}
const sayBeside = (key: keyof BesideSchool) => (schools.value.beside?.[key] === undefined ? '' : formatTime(schools.value.beside[key]!))
const besides = [
  ['drinkSeconds', texts.drinkEvery],
  ['eatSeconds', texts.eatEvery],
  ['runSeconds', texts.runFor],
  ['walkSeconds', texts.thenWalkFor],
] as const
const naming = [
  ['telling', texts.tellingTitlesKeptAs],
  ['weekday', texts.theWeekdayClearedWhen],
  ['slot', texts.oneSlotAlwaysCalled],
] as const
const pushing = [
  ['week', texts.theComingSevenDays],
  ['today', texts.todayOnly],
  ['hand', texts.nothingISendBy],
] as const
const channels = [
  ['voice', 'voice'],
  ['tone', 'tone'],
  ['tap', 'tap'],
  ['countdown', texts.fiveSecondsBeforeA],
  ['halfway', texts.halfWay],
] as const
</script>

<template>
  <section>
    <h3>{{ texts.namesOnTheWatch }}</h3>
    <MeOneOf :label="texts.namesOnTheWatch" :ways="naming" :taken="schools.naming ?? 'telling'" @take="way => set({ naming: way })" />
  </section>
  <section>
    <h3>{{ texts.pushingToTheWatch }}</h3>
    <MeOneOf :label="texts.pushingToTheWatch" :ways="pushing" :taken="schools.pushing ?? 'week'" @take="way => set({ pushing: way })" />
    <p class="faint small">{{ texts.itIsShownIn }}</p>
  </section>
  <section>
    <h3>{{ texts.cues }}</h3>
    <p v-for="[kind, words] in channels" :key="kind">
      <el-checkbox :model-value="cues[kind]" @change="setCues({ [kind]: !cues[kind] })">{{ words }}</el-checkbox>
    </p>
    <p>
      <label
        >{{ texts.lapEvery }}
        <TypedField class="mono lap" type="number" min="0" step="50" :value="cues.autoLapMetres ?? 0" @change="setLap($event)" />
        {{ texts.m0ForNone }}</label
      >
    </p>
    <p class="faint small">{{ texts.onARoadEyes }}</p>
  </section>
  <section>
    <h3>{{ texts.besideEverySession }}</h3>
    <p v-for="[key, words] in besides" :key="key">
      <label
        >{{ words }}
        <TypedField
          class="mono lap"
          :value="sayBeside(key)"
          :aria-invalid="Boolean(wrong[key])"
          :placeholder="texts.never"
          @change="setBeside(key, $event)"
      /></label>
      <span v-if="wrong[key]" class="bad" role="alert">{{ wrong[key] }}</span>
    </p>
    <p class="faint small">{{ texts.aSecondProgrammeSaid }}</p>
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
