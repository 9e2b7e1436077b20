<script setup lang="ts">
import type { BalanceSuggestion } from '~~/core/plan/balance'
import { weeksThoughts as texts } from '~/texts/en'

/** What the days of the week suggest: each with its number, its source, and a move that helps; never a lock. */
defineProps<{ suggestions: readonly BalanceSuggestion[]; isBusy: boolean }>()
const emit = defineEmits<{ take: [suggestion: BalanceSuggestion]; dismiss: [key: string] }>()
</script>

<template>
  <section :aria-label="texts.suggestions" data-test="thoughts">
    <h2>{{ texts.suggestions }}</h2>
    <p v-if="suggestions.length === 0" class="faint">{{ texts.nothingStandsOut }}</p>
    <ul v-else>
      <li v-for="one in suggestions" :key="one.key" :data-code="one.code">
        {{ one.message }} <small class="faint">{{ one.source }}</small>
        <BalanceAnswers
          :fix="one.fix"
          :is-busy="isBusy"
          @take="emit('take', one)"
          @dismiss="what => emit('dismiss', what === 'this' ? one.key : one.code)" />
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  padding: 8px 0;
  border-top: 1px solid var(--rule);
}
small {
  display: block;
}
</style>
