<script setup lang="ts">
import type { Sport } from '~~/core/session/document'
import { unitsOf } from '~~/core/athlete/athlete'
import type { Athlete, BandSchoolKind } from '~~/core/athlete/athlete'
import { sportNames, sports } from '~~/core/session/sports'

/** What is chosen rather than typed: sex, units, the band, race times, what an intensity goes by. */
const props = defineProps<{ athlete: Athlete }>()
const emit = defineEmits<{ keep: [change: (athlete: Athlete) => Athlete] }>()

const units = computed(() => unitsOf(props.athlete))
const setUnit = (sport: Sport, value: string) =>
  emit('keep', athlete => ({ ...athlete, units: { ...units.value, [sport]: value } as Athlete['units'] }))
const school = computed(() => props.athlete.schools?.band?.kind ?? 'quiet')
const schools = [
  ['quiet', 'quiet: as wide as a steady athlete of your sport needs'],
  ['lean-fast', 'a little room on the fast side, less on the slow: 1.5 % and 0.75 %'],
  ['even', 'even: 5 s/km, 3 s/100m, 10 W or 4 bpm to each side'],
  ['percent', '3 % to each side'],
] as const
const setSchool = (kind: BandSchoolKind) => emit('keep', athlete => ({ ...athlete, schools: { ...athlete.schools, band: { kind } } }))
const races = [
  ['power-law', 'power law through your efforts'],
  ['oxygen', 'oxygen model of your best run'],
] as const
const race = computed(() => props.athlete.schools?.racePrediction ?? 'power-law')
const setRace = (kind: 'power-law' | 'oxygen') =>
  emit('keep', athlete => ({ ...athlete, schools: { ...athlete.schools, racePrediction: kind } }))
function setSex(value: string) {
  emit('keep', ({ sex: _, ...athlete }) => (value === '' ? athlete : { ...athlete, sex: value as 'female' | 'male' }))
}
const setMeasure = (sport: Sport, value: string) =>
  emit('keep', athlete => ({ ...athlete, preferredMeasure: { ...athlete.preferredMeasure, [sport]: value as 'pace' } }))
</script>

<template>
  <section>
    <h3>Sex</h3>
    <p class="row">
      <label for="sex">For the heart-rate impulse<small class="faint">its weights differ; unknown takes the mean of both</small></label>
      <el-select id="sex" :model-value="athlete.sex ?? ''" @change="setSex($event)">
        <el-option value="" label="unknown" />
        <el-option value="female" label="female" />
        <el-option value="male" label="male" />
      </el-select>
    </p>
  </section>
  <section>
    <h3>Units</h3>
    <p v-for="sport in sportNames" :key="sport" class="row">
      <label :for="`unit-${sport}`">{{ sport[0]!.toUpperCase() + sport.slice(1) }}</label>
      <el-select :id="`unit-${sport}`" :model-value="units[sport]" @change="setUnit(sport, $event)">
        <el-option v-for="unit in sports[sport].units" :key="unit" :value="unit" :label="unit" />
      </el-select>
    </p>
  </section>
  <section>
    <h3>Band around one pace</h3>
    <MeOneOf label="Band around one pace" :ways="schools" :taken="school" @take="setSchool" />
  </section>
  <section>
    <h3>Race times</h3>
    <MeOneOf label="Race times" :ways="races" :taken="race" @take="setRace" />
    <p class="faint small">Both stand side by side above; the one picked here is what 5k or threshold effort means.</p>
  </section>
  <section>
    <h3>Intensity by</h3>
    <p v-for="sport in sportNames" :key="sport" class="row">
      <label :for="`measure-${sport}`">{{ sport[0]!.toUpperCase() + sport.slice(1) }}</label>
      <el-select
        :id="`measure-${sport}`"
        :model-value="athlete.preferredMeasure?.[sport] ?? sports[sport].zoneMeasures[0]"
        @change="setMeasure(sport, $event)">
        <el-option v-for="measure in sports[sport].zoneMeasures" :key="measure" :value="measure" :label="measure.replace('-', ' ')" />
      </el-select>
    </p>
    <p class="faint small">What a bare zone 4 is taken for.</p>
  </section>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 1fr 184px;
  gap: 4px 10px;
  align-items: center;
  margin: 0;
  padding: 5px 0;
  border-bottom: 1px solid var(--rule);
}
.row label small {
  display: block;
  font-size: 0.8rem;
}
.small {
  font-size: 0.86rem;
}
h3 {
  font-size: 1.06rem;
  margin: 10px 0 4px;
}
</style>
