<script setup lang="ts">
import { unitsOf } from '~~/core/athlete/athlete'
import { paceReadingFor } from '~~/core/athlete/say-target'
import type { Sport } from '~~/core/session/document'
import { sportNames } from '~~/core/session/sports'
import type { Trends } from '~~/shared/trends'
import { logTrendsPage as texts } from '~/texts/en'

useHead({ title: texts.title })
const athletes = useAthleteStore()
const route = useRoute()
const sport = ref<Sport>(sportNames.find(name => name === route.query.sport) ?? 'run')
const trends = shallowRef<Trends | null>(null)
const { problem, guarded } = useGuarded()
const asking = useLastAsked()

/** Asked again while recordings are still being read. */
async function load() {
  const isLast = asking()
  await guarded(async () => {
    if (!athletes.isLoaded) await athletes.load()
    do {
      const told = await api<Trends>(`/trends?sport=${sport.value}`)
      if (!isLast()) return
      trends.value = told
    } while (trends.value.unread > 0)
  })
}
onMounted(load)
watch(sport, () => {
  trends.value = null
  void navigateTo({ query: { sport: sport.value } }, { replace: true })
  void load()
})
const reading = computed(() => paceReadingFor(sport.value, unitsOf(athletes.athlete)[sport.value]))
const answered = async () => {
  await athletes.load()
  await load()
}
</script>

<template>
  <div class="page">
    <div class="top">
      <h1>{{ texts.whatMoves }}</h1>
      <el-radio-group v-model="sport" :aria-label="texts.sport" data-test="trend-sport">
        <el-radio-button v-for="name in sportNames" :key="name" :value="name" :label="name" />
      </el-radio-group>
      <NuxtLink to="/log">{{ texts.toTheLog }}</NuxtLink>
    </div>
    <ProblemAlert :problem="problem" />
    <Waiting v-if="!trends && !problem" :words="texts.looking" :rows="8" />
    <template v-else-if="trends">
      <p v-if="trends.unread > 0" role="status" class="faint">{{ texts.stillReading(trends.unread) }}</p>
      <TrendsMarks :proposals="trends.proposals" :reading="reading" @answered="answered" />
      <TrendsPeriods :weeks="trends.weeks" :sport="sport" />
      <TrendsFamily v-if="trends.families.length > 0" :families="trends.families" :reading="reading" />
      <TrendsBests :bests="trends.bests" :sport="sport" :reading="reading" />
      <TrendsHabits :habits="trends.habits" />
    </template>
  </div>
</template>

<style scoped>
.top {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 22px;
  align-items: center;
  margin-bottom: 10px;
}
</style>
