<script setup lang="ts">
import type { Weight } from '~~/core/plan/sums'
import { monotonyOf, sharesOf, sumsOf } from '~~/core/plan/sums'
import { daysFrom, daysOfWeek } from '~~/core/quantity/day'
import { sayToTheMinute } from '~~/core/quantity/time'
import { weeksSums as texts } from '~/texts/en'

/** What a week comes to, beside the four weeks before it. */
const props = defineProps<{ week: string; weights: readonly Weight[] }>()
const inWeek = (week: string) => props.weights.filter(({ day }) => day >= week && day < daysFrom(week, 7))
const sums = computed(() => sumsOf(inWeek(props.week)))
const shares = computed(() => sharesOf(sums.value.domains))
const before = computed(() => [1, 2, 3, 4].map(back => sumsOf(inWeek(daysFrom(props.week, -7 * back)))))
const rangeOf = (of: 'load' | 'impulse') => {
  const known = before.value.flatMap(week => (week[of] === null ? [] : [week[of]]))
  return known.length === 0 ? '' : texts.lastWeeks(Math.round(Math.min(...known)), Math.round(Math.max(...known)))
}
const alike = computed(() =>
  monotonyOf(daysOfWeek(props.week).map(iso => sumsOf(props.weights.filter(({ day }) => day === iso)).load ?? 0)),
)
const percent = (share: number) => Math.round(share * 100)
const kilometres = (metres: number) => (metres >= 1000 ? texts.km((metres / 1000).toFixed(1)) : '')
</script>

<template>
  <section :aria-label="texts.whatTheWeekComesTo" data-test="week-sums">
    <h2>{{ texts.theWeek }}</h2>
    <table>
      <tbody>
        <tr v-for="sport in sums.bySport" :key="sport.sport">
          <th scope="row">{{ sport.sport }}</th>
          <td>{{ sport.count }} ×</td>
          <td class="number">{{ sayToTheMinute(sport.seconds) }}</td>
          <td class="number">{{ kilometres(sport.metres) }}</td>
        </tr>
        <tr class="whole">
          <th scope="row">{{ texts.all }}</th>
          <td />
          <td class="number">{{ sums.seconds === 0 ? texts.nothingYet : sayToTheMinute(sums.seconds) }}</td>
          <td />
        </tr>
      </tbody>
    </table>
    <template v-if="shares">
      <div class="shares" role="img" :aria-label="texts.shares(percent(shares.easy), percent(shares.between), percent(shares.hard))">
        <span class="easy" :style="{ flexGrow: shares.easy }" />
        <span class="between" :style="{ flexGrow: shares.between }" />
        <span class="hard" :style="{ flexGrow: shares.hard }" />
      </div>
      <p class="faint">{{ texts.shares(percent(shares.easy), percent(shares.between), percent(shares.hard)) }}</p>
    </template>
    <dl>
      <dt>{{ texts.loadByEffort }} <Explained term="load" /></dt>
      <dd>
        <strong>{{ sums.load === null ? texts.notKnown : Math.round(sums.load) }}</strong> <span class="faint">{{ rangeOf('load') }}</span>
      </dd>
      <dt>{{ texts.loadByHeart }}</dt>
      <dd>
        <strong>{{ sums.impulse === null ? texts.notKnown : Math.round(sums.impulse) }}</strong>{{ ' '
        }}<span class="faint">{{ rangeOf('impulse') }}</span>
      </dd>
      <template v-if="alike">
        <dt>{{ texts.monotony }}</dt>
        <dd>
          {{ alike.monotony.toFixed(1) }} <span class="faint">{{ texts.strain(Math.round(alike.strain)) }}</span>
        </dd>
      </template>
    </dl>
    <p v-if="sums.untold > 0" class="faint">{{ texts.leftOut(sums.untold) }}</p>
    <p class="faint small">{{ texts.neitherIsTruth }}</p>
  </section>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  text-align: left;
  font-weight: 400;
}
td,
th {
  padding: 3px 4px 3px 0;
  border-bottom: 1px solid var(--rule);
}
.number {
  text-align: right;
  font-variant-numeric: tabular-nums;
}
.whole th,
.whole td {
  border-bottom: 2px solid var(--slip);
  font-weight: 600;
}
.shares {
  display: flex;
  height: 12px;
  margin: 12px 0 4px;
  border: 1px solid var(--slip);
}
.easy {
  background: var(--clay-1);
}
.between {
  background: var(--clay-3);
}
.hard {
  background: repeating-linear-gradient(135deg, var(--clay-5) 0 4px, var(--clay-4) 4px 6px);
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 4px 12px;
  margin: 8px 0;
}
dd {
  margin: 0;
}
.small {
  font-size: 0.875rem;
}
p {
  margin: 4px 0;
}
</style>
