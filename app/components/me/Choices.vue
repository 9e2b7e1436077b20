<script setup lang="ts">
import type { Sport } from '~~/core/session/document'
import { unitsOf } from '~~/core/athlete/athlete'
import type { Athlete, BandSchoolKind } from '~~/core/athlete/athlete'
import { sportNames, sports } from '~~/core/session/sports'
import { meChoices as texts } from '~/texts/en'

/** What is chosen rather than typed: sex, units, the band, race times, what an intensity goes by. */
const props = defineProps<{ athlete: Athlete }>()
const emit = defineEmits<{ keep: [change: (athlete: Athlete) => Athlete] }>()

const units = computed(() => unitsOf(props.athlete))
const setUnit = (sport: Sport, value: string) =>
  emit('keep', athlete => ({ ...athlete, units: { ...units.value, [sport]: value } as Athlete['units'] }))
const school = computed(() => props.athlete.schools?.band?.kind ?? 'quiet')
const schools = [
  ['quiet', texts.quietAsWideAs],
  ['lean-fast', texts.aLittleRoomOn],
  ['even', texts.even5SKm],
  ['percent', texts.n3ToEachSide],
] as const
const setSchool = (kind: BandSchoolKind) => emit('keep', athlete => ({ ...athlete, schools: { ...athlete.schools, band: { kind } } }))
const races = [
  ['power-law', texts.powerLawThroughYour],
  ['oxygen', texts.oxygenModelOfYour],
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
    <h3>{{ texts.sex }}</h3>
    <p class="row">
      <label for="sex"
        >{{ texts.forTheHeartRate }}<small class="faint">{{ texts.itsWeightsDifferUnknown }}</small></label
      >
      <el-select id="sex" :model-value="athlete.sex ?? ''" @change="setSex($event)">
        <el-option value="" :label="texts.unknown" />
        <el-option value="female" :label="texts.female" />
        <el-option value="male" :label="texts.male" />
      </el-select>
    </p>
  </section>
  <section>
    <h3>{{ texts.units }}</h3>
    <p v-for="sport in sportNames" :key="sport" class="row">
      <label :for="`unit-${sport}`">{{ sport[0]!.toUpperCase() + sport.slice(1) }}</label>
      <el-select :id="`unit-${sport}`" :model-value="units[sport]" @change="setUnit(sport, $event)">
        <el-option v-for="unit in sports[sport].units" :key="unit" :value="unit" :label="unit" />
      </el-select>
    </p>
  </section>
  <section>
    <h3>{{ texts.bandAroundOnePace }}</h3>
    <MeOneOf :label="texts.bandAroundOnePace" :ways="schools" :taken="school" @take="setSchool" />
  </section>
  <section>
    <h3>{{ texts.raceTimes }}</h3>
    <MeOneOf :label="texts.raceTimes" :ways="races" :taken="race" @take="setRace" />
    <p class="faint small">{{ texts.bothStandSideBy }}</p>
  </section>
  <section>
    <h3>{{ texts.intensityBy }}</h3>
    <p v-for="sport in sportNames" :key="sport" class="row">
      <label :for="`measure-${sport}`">{{ sport[0]!.toUpperCase() + sport.slice(1) }}</label>
      <el-select
        :id="`measure-${sport}`"
        :model-value="athlete.preferredMeasure?.[sport] ?? sports[sport].zoneMeasures[0]"
        @change="setMeasure(sport, $event)">
        <el-option v-for="measure in sports[sport].zoneMeasures" :key="measure" :value="measure" :label="measure.replace('-', ' ')" />
      </el-select>
    </p>
    <p class="faint small">{{ texts.whatABareZone }}</p>
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
