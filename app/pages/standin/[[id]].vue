<script setup lang="ts">
import { standinIdPage as texts } from '~/texts/en'
definePageMeta({ key: 'watch' })
useHead({ title: texts.standInWatchAgonis })
const route = useRoute()
const wrist = useWatchesStore()
const { problem, guarded } = useGuarded()
const chosen = ref('')

onMounted(() =>
  guarded(async () => {
    await wrist.load()
    chosen.value = wrist.preferred(route.params.id)?.id ?? ''
  }),
)
watch(
  () => route.params.id,
  id => (chosen.value = wrist.watches.find(entry => entry.id === id)?.id ?? chosen.value),
)
</script>

<template>
  <div class="page">
    <div class="headed">
      <h1>{{ texts.standInWatch }}</h1>
      <AfterRoom><LazyExplained term="stand-in" /></AfterRoom>
    </div>
    <p v-if="problem" class="said error" role="alert">
      {{ problem.problem }} <span class="faint">{{ problem.hint }}</span>
    </p>
    <div class="watches" role="group" :aria-label="texts.watches">
      <NuxtLink
        v-for="entry in wrist.watches"
        :key="entry.id"
        class="act"
        :class="{ first: entry.id === chosen }"
        :to="`/standin/${entry.id}`"
        >{{ entry.name }}</NuxtLink
      >
    </div>
    <WatchesStandinWatch v-if="chosen" :key="chosen" :watch-id="chosen" />
  </div>
</template>

<style scoped>
.watches {
  display: flex;
  gap: 12px;
  margin: 12px 0;
  flex-wrap: wrap;
}
.watches a {
  text-decoration: none;
  color: inherit;
  display: inline-flex;
  align-items: center;
}
.watches a.first {
  color: var(--cream);
}
</style>
