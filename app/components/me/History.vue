<script setup lang="ts">
import type { Athlete } from '~~/core/athlete/athlete'
import type { AthleteRevision } from '~~/shared/api'
import { fieldGroups } from '~/me/fields'
import { meHistory as texts } from '~/texts/en'

const props = defineProps<{ number: number }>()
const revisions = ref<AthleteRevision[]>([])
const { problem, guarded } = useGuarded()
const load = () => guarded(async () => (revisions.value = await api<AthleteRevision[]>('/me/history')))
watch(() => props.number, load, { immediate: true })

const groups = fieldGroups.flatMap(group =>
  group.fields.map(field => ({
    name: ['Heart', 'Body'].includes(group.title) ? field.label : `${group.title.toLowerCase()}: ${field.label.toLowerCase()}`,
    field,
  })),
)
const rest: readonly (keyof Athlete)[] = ['efforts', 'goals', 'zones', 'units', 'schools', 'preferredMeasure', 'steadiness']

/** What a save changed, in words. */
function changes(now: Athlete, before: Athlete | undefined): string {
  if (!before) return texts.theBeginningAsFar
  const fields = groups
    .filter(({ field }) => field.show(now) !== field.show(before))
    .map(({ name, field }) => `${name} ${field.show(before) || 'unknown'} → ${field.show(now) || 'unknown'} ${field.unit}`.trim())
  const others = rest
    .filter(name => JSON.stringify(now[name]) !== JSON.stringify(before[name]))
    .map(name =>
      name === 'efforts'
        ? `efforts: ${before.efforts?.length ?? 0} → ${now.efforts?.length ?? 0}`
        : name === 'preferredMeasure'
          ? texts.preferredMeasure
          : name,
    )
  return [...fields, ...others].join('; ') || texts.nothingThatIsShown
}
const dates = useDates()
const rows = computed(() =>
  revisions.value.map((revision, index) => ({
    ...revision,
    day: dates.momentOf(revision.savedAt, { year: true }),
    changed: changes(revision.athlete, revisions.value[index + 1]?.athlete),
  })),
)
</script>

<template>
  <p v-if="problem" class="said error">{{ problem.problem }}</p>
  <p v-else-if="rows.length === 0" class="faint">{{ texts.nothingKeptYet }}</p>
  <table v-else class="ruled listed" data-test="history">
    <tbody>
      <tr v-for="row in rows" :key="row.number">
        <td class="when">{{ row.day }}</td>
        <td>{{ row.changed }}</td>
      </tr>
    </tbody>
  </table>
  <p class="faint small">{{ texts.whatWasDoneIs }}</p>
</template>

<style scoped>
table {
  max-width: 820px;
  width: 100%;
}
.when {
  white-space: nowrap;
  color: var(--faint);
}
.small {
  font-size: 0.86rem;
}
</style>
