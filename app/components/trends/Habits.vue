<script setup lang="ts">
import { sayDuration } from '~~/core/quantity/time'
import type { Habits } from '~~/core/trends/habits'
import { trendsHabits as texts } from '~/texts/en'

/** What is learnt of habits, each with how many recordings tell it. How steadily targets are held stands in Me. */
const props = defineProps<{ habits: Habits }>()
const rows = computed(() => [
  ...props.habits.open.map(({ role, seconds, recordings }) => ({
    what: texts.open(role),
    value: sayDuration(Math.round(seconds / 30) * 30),
    recordings,
  })),
  ...(props.habits.recovery
    ? [{ what: texts.recovery, value: texts.beats(props.habits.recovery.beats), recordings: props.habits.recovery.recordings }]
    : []),
])
</script>

<template>
  <section :aria-label="texts.habits" data-test="habits">
    <h2>{{ texts.habits }}</h2>
    <p v-if="rows.length === 0" class="faint">{{ texts.none }}</p>
    <table v-else class="ruled">
      <tbody>
        <tr v-for="row in rows" :key="row.what">
          <td>{{ row.what }}</td>
          <td class="number">{{ row.value }}</td>
          <td class="faint">{{ texts.from(row.recordings) }}</td>
        </tr>
      </tbody>
    </table>
    <p class="faint">
      {{ texts.steadiness }} <NuxtLink to="/me">{{ texts.me }}</NuxtLink>
    </p>
  </section>
</template>

<style scoped>
h2 {
  margin: 18px 0 6px;
}
table {
  max-width: 640px;
}
</style>
