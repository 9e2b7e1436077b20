<script setup lang="ts">
import type { Athlete } from '~~/core/athlete/athlete'
import { hasOwnSteadiness, steadinessOf } from '~~/core/athlete/steadiness'
import type { LearntSteadiness } from '~~/core/record/steadiness'
import { meSteadiness as texts } from '~/texts/en'

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
  <p class="faint">{{ texts.howFarYourSeconds }} <Explained term="steadiness" /></p>
  <table class="ruled listed" data-test="steadiness">
    <thead>
      <tr>
        <th>{{ texts.what }}</th>
        <th class="number">{{ texts.wandersBy }}</th>
        <th class="number">{{ texts.forAbout }}</th>
        <th>{{ texts.from }}</th>
        <th>{{ texts.learnt }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.sport">
        <td class="lead">{{ row.sport }}, {{ row.measure }}</td>
        <td class="number" :data-label="texts.wandersBy">{{ percent(row.now.sd) }}</td>
        <td class="number" :data-label="texts.forAbout">{{ Math.round(row.now.tau) }} s</td>
        <td class="faint">{{ row.isOwn ? texts.yourRecordings : texts.custom }}</td>
        <td>
          <template v-if="row.found && row.found.sd !== row.now.sd"
            >{{ texts.sInSteps(percent(row.found.sd), Math.round(row.found.tau), row.found.steps) }}
            <el-button
              link
              type="primary"
              :aria-label="texts.takeTheSteadinessLearnt(row.sport)"
              @click="set(row.sport, row.measure, { sd: row.found.sd, tau: row.found.tau })">
              {{ texts.take }}
            </el-button></template
          >
          <el-button v-else-if="row.isOwn" link type="primary" @click="set(row.sport, row.measure, undefined)">{{
            texts.backToCustom
          }}</el-button>
        </td>
      </tr>
    </tbody>
  </table>
  <p v-if="problem" class="said error">{{ problem.problem }}</p>
  <p>
    <el-button :disabled="isBusy" data-test="learn" @click="learn">{{ texts.learnFromMyRecordings }}</el-button>
    <span v-if="learnt?.length === 0" class="faint">{{ texts.tooLittleWasHeld }}</span>
  </p>
  <p class="faint small">
    {{ texts.howMuchOneSecond }}
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
