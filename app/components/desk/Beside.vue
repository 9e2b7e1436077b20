<script setup lang="ts">
import { quietEdits } from '~/forecast/quiet-edits'
import { manyRuns, useForecast } from '~/forecast/use-forecast'
import { unitsOf } from '~~/core/athlete/athlete'
import { paceReadingFor } from '~~/core/athlete/say-target'
import type { Edit } from '~~/core/edit/edit'
import type { Remark } from '~~/core/script/remark'
import { titleOf } from '~~/core/script/title'
import type { Session } from '~~/core/session/document'
import type { Nudging } from '~~/core/nudge/nudging'
import { usualNudging } from '~~/core/nudge/nudging'
import { isSameMissing, sayMissing } from '~~/core/words/missing'
import { deskBeside as texts } from '~/texts/en'

/** What stands beside the sheet: what it comes to, what it does, what is remarked and suggested. */
const emit = defineEmits<{
  edit: [edits: Edit[]]
  fix: [remark: Remark, replacement: string]
  show: [line: number]
  take: [document: Session]
  reword: [script: string]
}>()
const text = useDeskTextStore()
const desk = useDeskReadingStore()
const keeping = useDeskKeepingStore()
const shelf = useDeskShelfStore()
const athletes = useAthleteStore()
const watches = useWatchesStore()

const session = computed(() => desk.session)
const isWritten = computed(() => (session.value?.items.length ?? 0) > 0)
const isEmpty = computed(() => (desk.reckoning?.flat.length ?? 0) === 0)
const title = computed(() => (session.value ? titleOf(session.value) : texts.newSession))
const sport = computed(() => (session.value?.sport === 'multi' ? undefined : session.value?.sport))
const unit = computed(() => (sport.value ? unitsOf(athletes.athlete)[sport.value] : 'km'))
const paceReading = computed(() => paceReadingFor(sport.value ?? 'run', unit.value))

const watchId = ref('')
onMounted(() =>
  watches
    .load()
    .then(() => (watchId.value ||= watches.preferred()?.id ?? ''))
    .catch(() => {}),
)
const nudging = computed<Nudging>(() => watches.watches.find(watch => watch.id === watchId.value)?.profile ?? usualNudging)
const forecast = useForecast(
  () => session.value,
  () => athletes.standpoint,
  () => nudging.value,
)
/** What the forecast lacks, and the reckoning does not say already. */
const forecastMissing = computedAlike(() =>
  (forecast.made.value?.forecast.missing ?? []).filter(
    missing => !(desk.reckoning?.remarks ?? []).some(remark => 'missing' in remark && isSameMissing(remark.missing, missing)),
  ),
)
defineExpose({
  /** The edits that give every row its quiet band. */
  quiet: (): Edit[] => quietEdits(forecast.picture.value?.quiet ?? null),
})
</script>

<template>
  <DeskSideColumn>
    <DeskTotals :unit="unit" />
    <DeskRemarks
      :is-empty="isEmpty"
      @fix="(remark: Remark, replacement: string) => emit('fix', remark, replacement)"
      @show="line => emit('show', line)" />
    <AfterRoom>
      <template v-if="isWritten">
        <LazyDeskSplits v-if="text.inHand" :path="text.inHand" />
        <LazyDeskHowHard v-if="forecast.made.value" v-bind="forecast.made.value" @edit="(edits: Edit[]) => emit('edit', edits)" />
        <div v-for="missing in forecastMissing" :key="sayMissing(missing)" class="said note">
          {{ texts.howHardItIs(sayMissing(missing)) }}<LazyMeAskNumber :missing="missing" />
        </div>
        <LazyDeskNudges
          :picture="forecast.picture.value"
          :progress="forecast.progress.value"
          :runs="forecast.runs.value"
          :problem="forecast.problem.value"
          :watches="watches.watches"
          :watch="watchId"
          :reading="paceReading"
          @watch="(id: string) => (watchId = id)"
          @many="forecast.ask(manyRuns)"
          @stop="forecast.stop"
          @take="(edits: Edit[]) => emit('edit', edits)" />
      </template>
      <LazyDeskSuggestions @show="line => emit('show', line)" @edit="(edits: Edit[]) => emit('edit', edits)" />
      <template v-if="isWritten">
        <h2 class="section">{{ texts.theWholeSession }}</h2>
        <LazyDeskSizes @take="(document: Session) => emit('take', document)" />
        <h2 class="section">{{ texts.variants }}</h2>
        <LazyDeskVariants :id="text.id" :is-kept="keeping.base > 0" :title="title" :ready="keeping.flush" />
        <h2 class="section">{{ texts.beforeNow }}</h2>
        <LazyDeskWordings
          v-if="keeping.base > 0"
          :id="text.id"
          :key="text.id"
          :now="text.script"
          :ready="keeping.flush"
          @take="script => emit('reword', script)" />
        <p v-else class="faint">{{ texts.earlierWordingsStandHere }}</p>
        <h2 class="section">{{ texts.tags }}</h2>
        <LazyTagField :tags="shelf.tags" @set="shelf.setTags" />
      </template>
    </AfterRoom>
  </DeskSideColumn>
</template>

<style scoped>
.section {
  margin-top: 14px;
}
</style>
