<script setup lang="ts">
import type { ApiProblem } from '~/composables/api'

definePageMeta({ key: 'watch' })
useHead({ title: 'Stand-in watch · Agonis' })
const route = useRoute()
const wrist = useWristStore()
const problem = ref<ApiProblem | null>(null)
const chosen = ref('')

onMounted(async () => {
  try {
    await wrist.load()
    const wanted = wrist.watches.find(watch => watch.id === route.params.id) ?? wrist.watches.find(watch => watch.profile.maxNesting > 0) ?? wrist.watches[0]
    if (wanted) chosen.value = wanted.id
  }
  catch (error) {
    problem.value = toldOf(error)
  }
})
watch(() => route.params.id, id => chosen.value = wrist.watches.find(entry => entry.id === id)?.id ?? chosen.value)
</script>

<template>
  <div class="page">
    <h1>Stand-in watch</h1>
    <p v-if="problem" class="said error" role="alert">{{ problem.problem }} <span class="faint">{{ problem.hint }}</span></p>
    <div class="watches" role="group" aria-label="Watches">
      <NuxtLink v-for="entry in wrist.watches" :key="entry.id" class="act" :class="{ first: entry.id === chosen }" :to="`/watch/${entry.id}`">{{ entry.name }}</NuxtLink>
    </div>
    <WristStandinWatch v-if="chosen" :key="chosen" :watch-id="chosen" />
  </div>
</template>

<style scoped>
.watches { display: flex; gap: 12px; margin: 12px 0; flex-wrap: wrap; }
.watches a { text-decoration: none; color: inherit; display: inline-flex; align-items: center; }
.watches a.first { color: var(--cream); }
</style>
