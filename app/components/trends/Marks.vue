<script setup lang="ts">
import type { PaceReading } from '~~/core/athlete/say-target'
import { sayDistance } from '~~/core/quantity/distance'
import { formatTime, sayDuration } from '~~/core/quantity/time'
import type { KeptAthlete } from '~~/shared/api'
import type { MarkAnswer, ProposedMark } from '~~/shared/trends'
import { trendsMarks as texts } from '~/texts/en'

/** Marks that training speaks for: what each rests on, what it would change, and the athlete's yes, no, or not now. */
defineProps<{ proposals: ProposedMark[]; reading: PaceReading }>()
const emit = defineEmits<{ answered: [] }>()
const dates = useDates()
const { problem, isBusy, guarded } = useGuarded()
const told = ref('')

const percent = (share: number) => `${(Math.abs(share) * 100).toFixed(1)} %`
const amount = ({ effort }: ProposedMark) =>
  effort.watts === undefined ? sayDistance(effort.metres!, effort.metres! < 2000 ? 'm' : 'km') : sayDuration(effort.seconds)
const value = ({ effort }: ProposedMark) => (effort.watts === undefined ? formatTime(effort.seconds) : `${effort.watts} W`)
const was = (one: ProposedMark) => (one.effort.watts === undefined ? formatTime(one.today) : `${one.today} W`)
const why = (one: ProposedMark) =>
  one.because === 'stretch'
    ? texts.aStretch(one.rests[0]!.title, dates.day(one.rests[0]!.day), percent(one.change))
    : texts.offTheirBands(one.rests.length, percent(one.change), one.change > 0 ? texts.harder : texts.easier)

const answer = (key: string, to: MarkAnswer) =>
  guarded(async () => {
    await api<KeptAthlete>('/trends/marks', { method: 'POST', body: { key, answer: to } })
    told.value = texts.answers[to]
    emit('answered')
  })
</script>

<template>
  <section :aria-label="texts.marks" data-test="mark-proposals">
    <h2>{{ texts.marks }}</h2>
    <p v-if="told" class="said note" role="status">
      {{ told }} <NuxtLink to="/me">{{ texts.inMe }}</NuxtLink>
    </p>
    <p v-if="proposals.length === 0" class="faint">{{ texts.none }}</p>
    <div v-for="one in proposals" :key="one.key" class="said ask" data-test="mark-proposal">
      <p>
        <strong>{{ texts.mark(amount(one), value(one)) }}</strong> {{ texts.insteadOf(was(one)) }} {{ why(one) }}
      </p>
      <p v-if="one.change < 0" class="caution">{{ texts.slowerMayBe }}</p>
      <details>
        <summary>{{ texts.restsOn(one.rests.length) }}</summary>
        <ul>
          <li v-for="rest in one.rests" :key="rest.id">
            {{ dates.day(rest.day) }} <NuxtLink :to="`/log/${rest.id}`">{{ rest.title }}</NuxtLink>, {{ percent(rest.ratio) }}
            {{ rest.ratio > 0 ? texts.harder : texts.easier }}
          </li>
        </ul>
      </details>
      <table v-if="one.changes.length > 0" class="ruled changes" data-test="mark-changes">
        <caption>
          {{
            texts.wouldChange
          }}
        </caption>
        <tbody>
          <tr v-for="(change, index) in one.changes.slice(0, 8)" :key="index">
            <td>{{ dates.day(change.day) }}</td>
            <td>{{ change.title }}</td>
            <td class="mono">{{ change.was }}</td>
            <td class="mono">{{ change.becomes }}</td>
          </tr>
        </tbody>
      </table>
      <p class="acts">
        <el-button type="primary" :disabled="isBusy" data-test="mark-yes" @click="answer(one.key, 'yes')">{{ texts.yes }}</el-button>
        <el-button :disabled="isBusy" data-test="mark-no" @click="answer(one.key, 'no')">{{ texts.no }}</el-button>
        <el-button :disabled="isBusy" data-test="mark-later" @click="answer(one.key, 'later')">{{ texts.later }}</el-button>
        <span class="faint">{{ texts.itIsAdvice }}</span>
      </p>
    </div>
    <ProblemAlert :problem="problem" />
  </section>
</template>

<style scoped>
h2 {
  margin: 14px 0 6px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
  margin: 8px 0 0;
}
.acts .el-button + .el-button {
  margin-left: 0;
}
.changes {
  margin-top: 8px;
}
caption {
  text-align: left;
  color: var(--faint);
}
ul {
  margin: 4px 0;
}
</style>
