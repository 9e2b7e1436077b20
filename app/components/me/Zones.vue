<script setup lang="ts">
import { sayMissing } from '~~/core/words/missing'
import { sayZoneMethod } from '~~/core/words/numbers'
import { asSentence } from '~~/core/words/sentence'
import type { Athlete } from '~~/core/athlete/athlete'
import { heartOf } from '~~/core/athlete/athlete'
import { resolveEffort } from '~~/core/athlete/named-effort'
import { zoneBounds } from '~~/core/athlete/zones'
import { sports } from '~~/core/session/sports'
import type { EffortName, Sport, ZoneMeasure } from '~~/core/session/document'
import { readBounds, showBound, zoneUnit } from '~/me/zone-fields'
import { zonesChart } from '~/me/zones-chart'
import { meZones as texts } from '~/texts/en'

const props = defineProps<{ athlete: Athlete }>()
const athletes = useAthleteStore()
const emit = defineEmits<{ keep: [change: (athlete: Athlete) => Athlete] }>()

const sport = ref<Sport>('run')
const of = ref<ZoneMeasure>('heart-rate')
const scheme = ref<3 | 5 | 'own'>(5)
const typed = ref('')
const wrong = ref('')
const own = computed(() => props.athlete.zones?.[sport.value]?.[of.value])
const unit = computed(() => zoneUnit(props.athlete, sport.value, of.value))
const found = computed(() => zoneBounds({ of: of.value, scheme: scheme.value }, athletes.standpoint, sport.value))
const show = (value: number) => showBound(value, unit.value.metres)

watch(sport, () => (of.value = sports[sport.value].zoneMeasures.includes(of.value) ? of.value : sports[sport.value].zoneMeasures[0]!))
watch(
  [sport, of, own],
  () => {
    scheme.value = own.value ? 'own' : scheme.value === 'own' ? 5 : scheme.value
    typed.value = own.value?.map(show).join(', ') ?? ''
    wrong.value = ''
  },
  { immediate: true },
)

function setZones(bounds: number[] | undefined) {
  const [inSport, measure] = [sport.value, of.value]
  emit('keep', athlete => {
    const { [measure]: _, ...rest } = athlete.zones?.[inSport] ?? {}
    return { ...athlete, zones: { ...athlete.zones, [inSport]: bounds ? { ...rest, [measure]: bounds } : rest } }
  })
}
function keepOwn() {
  const result = readBounds(typed.value, unit.value.metres)
  wrong.value = result.ok ? '' : `${result.problem[0]!.toUpperCase()}${result.problem.slice(1)}.`
  if (result.ok) setZones(result.bounds)
}
function fromShown() {
  if (found.value.ok) typed.value = found.value.bounds.map(show).join(', ')
  scheme.value = 'own'
}

const zones = computed(() => {
  if (!found.value.ok) return []
  const { bounds } = found.value
  const isPace = unit.value.metres !== null
  return [...bounds, Infinity].map((to, index) => {
    const from = bounds[index - 1]
    const words =
      from === undefined
        ? isPace
          ? texts.slowerThan(show(to))
          : texts.below(show(to))
        : to === Infinity
          ? isPace
            ? texts.fasterThan(show(from))
            : texts.above(show(from))
          : isPace
            ? `${show(to)}–${show(from)}`
            : `${show(from)}–${show(to)}`
    return { number: index + 1, words }
  })
})

const efforts: readonly EffortName[] = ['marathon', 'half-marathon', '10k', '5k', '3k', '1500m']
const marks = computed(() => {
  const { athlete } = props
  const of_ = of.value
  if (of_ === 'heart-rate') {
    const heart = heartOf(athlete, sport.value)
    return [
      [texts.atRest, heart.rest],
      [texts.firstThreshold, heart.aerobicThreshold],
      ['threshold', heart.threshold],
      ['maximum', heart.max],
    ].filter((mark): mark is [string, number] => typeof mark[1] === 'number')
  }
  if (of_ === 'power')
    return sport.value === 'swim' || athlete[sport.value]?.criticalPower === undefined
      ? []
      : [['critical', athlete[sport.value as 'run']!.criticalPower!] as [string, number]]
  const named: (readonly [string, EffortName])[] = [
    ...efforts.map(name => [name, name] as const),
    ['easy', 'easy'],
    ['critical', 'critical'],
  ]
  return named
    .flatMap(([words, name]): [string, number][] => {
      const reading = resolveEffort(athletes.standpoint, sport.value, name)
      return reading.ok && reading.of === 'pace' && (sport.value === 'run' || !efforts.includes(name))
        ? [[words, ((reading.easiest ?? reading.hardest!) + (reading.hardest ?? reading.easiest!)) / 2]]
        : []
    })
    .sort((a, b) => a[1] - b[1])
})

const option = computed(() => (found.value.ok ? zonesChart(found.value.bounds, marks.value, show) : {}))
</script>

<template>
  <div class="choose">
    <label
      >{{ texts.sport }}
      <el-select v-model="sport" data-test="zone-sport">
        <el-option value="run" :label="texts.run" />
        <el-option value="ride" :label="texts.ride" />
        <el-option value="swim" :label="texts.swim" /> </el-select
    ></label>
    <label
      >{{ texts.by }}
      <el-select v-model="of" data-test="zone-of">
        <el-option
          v-for="measure in sports[sport].zoneMeasures"
          :key="measure"
          :value="measure"
          :label="measure.replace('-', ' ')" /> </el-select
    ></label>
    <label
      >{{ texts.zones }}
      <el-select v-model="scheme" data-test="zone-scheme">
        <el-option :value="3" :label="texts.three" />
        <el-option :value="5" :label="texts.five" />
        <el-option value="own" :label="texts.own" /> </el-select
    ></label>
  </div>
  <template v-if="found.ok">
    <div class="chart"><LazyChartPicture :option="option" :label="texts.zonesAndBenchmarksOn" /></div>
    <table class="ruled">
      <tbody>
        <tr v-for="zone in zones" :key="zone.number">
          <td>{{ texts.zone(zone.number) }}</td>
          <td class="mono">{{ zone.words }} {{ unit.words }}</td>
        </tr>
      </tbody>
    </table>
    <p class="faint small">
      {{ asSentence(sayZoneMethod(found.method, of)) }}
      <el-button v-if="scheme !== 'own'" link type="primary" @click="fromShown">{{ texts.makeThemMyOwn }}</el-button>
    </p>
  </template>
  <div v-else-if="scheme !== 'own'" class="said note">
    {{ texts.needs(sayMissing(found.missing)) }}<LazyMeAskNumber :missing="found.missing" />
  </div>
  <form v-if="scheme === 'own'" class="own" @submit.prevent="keepOwn">
    <label
      >{{ texts.boundsEasiestFirst }}
      <el-input
        v-model="typed"
        class="mono"
        :placeholder="unit.metres === null ? '120, 140, 158' : '5:40, 4:50, 4:20'"
        autocomplete="off"
        data-test="zone-bounds" />
      {{ unit.words }}</label
    >
    <el-button native-type="submit" data-test="zone-keep">{{ texts.keepThese }}</el-button>
    <el-button v-if="own" link type="primary" data-test="zone-back" @click="setZones(undefined)">{{ texts.backToReckonedOnes }}</el-button>
    <span v-if="wrong" class="bad" role="alert">{{ wrong }}</span>
  </form>
</template>

<style scoped>
.choose,
.own {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
  margin: 6px 0;
}
.choose label,
.own label {
  color: var(--faint);
}
.own .el-input {
  width: 220px;
}
.chart {
  width: 100%;
  max-width: 760px;
  height: 122px;
}
table {
  max-width: 420px;
  width: 100%;
}
.small {
  font-size: 0.86rem;
}
</style>
