<script setup lang="ts">
import { sports as sportFacts } from '~~/core/session/sports'
import type { Athlete } from '~~/core/athlete/athlete'
import type { DerivedNumber } from '~~/core/athlete/numbers'
import { derivedNumbers } from '~~/core/athlete/numbers'
import { sayNumber } from '~/me/say-number'
import { meNumbers as texts } from '~/texts/en'

const props = defineProps<{ athlete: Athlete }>()
const emit = defineEmits<{ keep: [change: (athlete: Athlete) => Athlete] }>()

const athletes = useAthleteStore()
const sports = ['run', 'ride', 'swim', 'all'] as const
const titles = { run: sportFacts.run.title, ride: sportFacts.ride.title, swim: sportFacts.swim.title, all: 'Heart' } as const
const numbers = computed(() => derivedNumbers(athletes.standpoint))
/** Under one name, one number a school. */
const groups = computed(() =>
  sports
    .map(sport => {
      const own = numbers.value.filter(number => number.sport === sport)
      const names = [...new Set(own.map(number => number.name))]
      return { sport, rows: names.map(name => ({ name, schools: own.filter(number => number.name === name) })) }
    })
    .filter(group => group.rows.length > 0),
)

function takenValue(number: DerivedNumber): number {
  const digits = number.unit === 'm/s' ? 1e5 : number.unit === 'm' ? 10 : 1
  return Math.round(number.value * digits) / digits
}
const isTaken = (number: DerivedNumber) => {
  const [holder, name] = number.field!.split('.') as ['run', 'criticalSpeed']
  return props.athlete[holder]?.[name] === takenValue(number)
}
function take(number: DerivedNumber) {
  const [holder, name] = number.field!.split('.') as ['run', 'criticalSpeed']
  emit('keep', athlete => ({ ...athlete, [holder]: { ...athlete[holder], [name]: takenValue(number) } }))
}
</script>

<template>
  <p v-if="groups.length === 0" class="faint">{{ texts.nothingFollowsYetAdd }}</p>
  <div class="groups">
    <section v-for="group in groups" :key="group.sport">
      <h3>{{ titles[group.sport] }}</h3>
      <table class="ruled" data-test="numbers">
        <tbody>
          <tr v-for="row in group.rows" :key="row.name">
            <th scope="row">{{ row.name }}</th>
            <td>
              <div class="schools">
                <div v-for="number in row.schools" :key="number.method" class="school">
                  <span class="mono">{{ sayNumber(number, athlete).value }}</span>{{ ' '
                  }}<span class="faint">{{ sayNumber(number, athlete).unit }} {{ sayNumber(number, athlete).around }}</span>
                  <template v-if="number.field"
                    >{{ ' ' }}<span v-if="isTaken(number)" class="good">{{ texts.taken }}</span
                    ><el-button v-else link type="primary" :aria-label="texts.take(row.name, number.method)" @click="take(number)">
                      {{ texts.take2 }}
                    </el-button></template
                  >
                  <details>
                    <summary>
                      {{ number.method }}<span v-if="number.isAged" class="doubt"> {{ texts.old }}</span>
                    </summary>
                    <p>{{ number.source }}.</p>
                    <p>{{ texts.from(number.inputs.join('; ')) }}</p>
                    <p v-if="number.weakness">{{ number.weakness[0]?.toUpperCase() + number.weakness.slice(1) }}.</p>
                    <p v-if="number.isAged" class="doubt">{{ texts.itsYoungestInputIs }}</p>
                    <p>{{ texts.changedBy(number.changes) }}</p>
                  </details>
                </div>
              </div>
            </td>
          </tr>
        </tbody>
      </table>
    </section>
  </div>
  <p class="faint small">
    {{ texts.isHalfOfThe }}
  </p>
</template>

<style scoped>
.groups {
  columns: 2 440px;
  column-gap: 48px;
}
.groups section {
  break-inside: avoid;
  margin-bottom: 16px;
}
table {
  width: 100%;
}
table.ruled th {
  vertical-align: top;
  text-align: left;
  font-weight: 400;
  width: 128px;
  font-size: 1rem;
  color: var(--slip);
  border-bottom: 1px solid var(--rule);
}
.schools {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 4px 16px;
}
details p {
  margin: 2px 0;
  font-size: 0.88rem;
  color: var(--faint);
}
summary {
  cursor: pointer;
  min-height: 24px;
  font-size: 0.88rem;
  color: var(--faint);
}
.small {
  font-size: 0.86rem;
}
</style>
