<script setup lang="ts">
import { itemAt, sportAt } from '~~/core/session/item-path'
import { formatTime } from '~~/core/quantity/time'
import { splitUnits } from '~~/core/reckon/splits'
import { deskSplits as texts } from '~/texts/en'

const props = defineProps<{ path: string }>()
const desk = useDeskReadingStore()
const settled = useBehind(
  () => ({ session: desk.session, reckoning: desk.reckoning }),
  () => props.path,
)

/** Splits of the row in hand: the units that are shorter than it, at its likely speed and at the ends of its band. */
const splits = computed(() => {
  const { session, reckoning } = settled.value
  const entry = reckoning?.flat.find(step => step.path === props.path)
  if (!session || !entry) return []
  const sport = sportAt(session, props.path)
  if (sport === 'multi' || itemAt(session, props.path)?.kind !== 'step') return []
  const { seconds, metres, target } = entry
  if (!seconds.likely || !metres.likely) return []
  const speed = metres.likely / seconds.likely
  const leg = itemAt(session, props.path.split('.')[0]!)
  const place = leg?.kind === 'leg' ? leg.place : session.place
  const clock = (value: number) => (value < 600 ? formatTime(Math.round(value * 10) / 10) : formatTime(Math.round(value)))
  return splitUnits(sport, place)
    .filter(unit => unit.metres <= metres.likely! + 0.5)
    .map(unit => ({
      name: unit.name,
      likely: clock(unit.metres / speed),
      band:
        target?.unit === 'm/s' && target.easiest !== null && target.hardest !== null
          ? `${clock(unit.metres / target.hardest)}–${clock(unit.metres / target.easiest)}`
          : '',
    }))
})
</script>

<template>
  <details v-if="splits.length > 0" class="splits" data-test="splits">
    <summary>{{ texts.splitsOfRow(path) }}</summary>
    <table class="ruled">
      <tbody>
        <tr v-for="split in splits" :key="split.name">
          <td>{{ texts.per(split.name) }}</td>
          <td class="number">{{ split.likely }}</td>
          <td class="number faint">{{ split.band }}</td>
        </tr>
      </tbody>
    </table>
  </details>
</template>

<style scoped>
.splits {
  font-size: 0.9rem;
  margin: 4px 0 8px;
}
table {
  width: 100%;
}
</style>
