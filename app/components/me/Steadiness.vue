<script setup lang="ts">
import type { Athlete } from '~~/core/athlete/athlete'
import { hasOwnSteadiness, steadinessOf } from '~~/core/athlete/steadiness'
import type { LearntSteadiness } from '~~/core/record/steadiness'

const props = defineProps<{ athlete: Athlete }>()
const emit = defineEmits<{ keep: [change: (athlete: Athlete) => Athlete] }>()

const learnt = ref<LearntSteadiness[] | null>(null)
const { problem, isBusy, guarded } = useGuarded()
const learn = () => guarded(async () => (learnt.value = await api<LearntSteadiness[]>('/me/steadiness')))
const inHand = [
  ['run', 'speed'],
  ['ride', 'power'],
  ['swim', 'speed'],
] as const
const percent = (sd: number) => `${(sd * 100).toFixed(1)} %`
const rows = computed(() =>
  inHand.map(([sport, measure]) => {
    const now = steadinessOf(props.athlete, sport, measure)
    return {
      sport,
      measure,
      now,
      isOwn: hasOwnSteadiness(props.athlete, sport, measure),
      found: learnt.value?.find(one => one.sport === sport && one.measure === measure) ?? null,
    }
  }),
)
function set(sport: string, measure: string, value: { sd: number; tau: number } | undefined) {
  emit('keep', athlete => {
    const { [measure]: _, ...rest } = (athlete.steadiness?.[sport] ?? {}) as Record<string, unknown>
    return { ...athlete, steadiness: { ...athlete.steadiness, [sport]: value ? { ...rest, [measure]: value } : rest } }
  })
}
</script>

<template>
  <p class="faint">How far your seconds stray. <Explained term="steadiness" /></p>
  <table class="ruled listed" data-test="steadiness">
    <thead>
      <tr>
        <th>what</th>
        <th class="number">wanders by</th>
        <th class="number">for about</th>
        <th>from</th>
        <th>learnt</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.sport">
        <td class="lead">{{ row.sport }}, {{ row.measure }}</td>
        <td class="number" data-label="wanders by">{{ percent(row.now.sd) }}</td>
        <td class="number" data-label="for about">{{ Math.round(row.now.tau) }} s</td>
        <td class="faint">{{ row.isOwn ? 'your recordings' : 'custom' }}</td>
        <td>
          <template v-if="row.found && row.found.sd !== row.now.sd"
            >{{ percent(row.found.sd) }}, {{ Math.round(row.found.tau) }} s in {{ row.found.steps }} steps
            <el-button
              link
              type="primary"
              :aria-label="`Take the steadiness learnt for the ${row.sport}`"
              @click="set(row.sport, row.measure, { sd: row.found.sd, tau: row.found.tau })">
              take
            </el-button></template
          >
          <el-button v-else-if="row.isOwn" link type="primary" @click="set(row.sport, row.measure, undefined)">back to custom</el-button>
        </td>
      </tr>
    </tbody>
  </table>
  <p v-if="problem" class="said error">{{ problem.problem }}</p>
  <p>
    <el-button :disabled="isBusy" data-test="learn" @click="learn">Learn from my recordings</el-button>
    <span v-if="learnt?.length === 0" class="faint">Too little was held to a target yet: it takes ten minutes in a sport.</span>
  </p>
  <p class="faint small">
    How much one second's value strays from what is meant, and how long it stays there. The forecast of nudges and the quiet band rest on
    it.
  </p>
</template>

<style scoped>
table {
  max-width: 760px;
  width: 100%;
}
.small {
  font-size: 0.86rem;
}
</style>
