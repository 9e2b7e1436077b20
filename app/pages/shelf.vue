<script setup lang="ts">
import { sayDistance } from '~~/core/quantity/distance'
import { sayDuration } from '~~/core/quantity/time'
import type { Listed, ShelfRow } from '~~/shared/api'

useHead({ title: 'Shelf · Agonis' })
const athletes = useAthleteStore()
const rows = ref<ShelfRow[]>([])
const total = ref(0)
const search = ref('')
const { problem, guarded } = useGuarded()
const removed = ref<{ id: string, title: string } | null>(null)
const isLoading = ref(true)
const pageSize = 100

async function load(offset = 0) {
  const found = await api<Listed<ShelfRow>>(`/sessions?limit=${pageSize}&offset=${offset}&search=${encodeURIComponent(search.value)}`)
  rows.value = offset === 0 ? found.rows : [...rows.value, ...found.rows]
  total.value = found.total
  isLoading.value = false
}

const copy = (row: ShelfRow) => guarded(async () => {
  const made = await api<{ id: string }>(`/sessions/${row.id}/copy`, { method: 'POST' })
  await navigateTo(`/desk/${made.id}`)
})
const remove = (row: ShelfRow) => guarded(async () => {
  await api(`/sessions/${row.id}`, { method: 'DELETE' })
  removed.value = { id: row.id, title: row.title }
  await load()
})
const undo = () => guarded(async () => {
  if (!removed.value) return
  await api(`/sessions/${removed.value.id}/restore`, { method: 'POST' })
  removed.value = null
  await load()
})

const way = (row: ShelfRow) => {
  if (row.metres === null) return '–'
  const units = athletes.athlete.units ?? { run: 'km', ride: 'km', swim: 'm' } as const
  return sayDistance(row.metres, row.sport === 'multi' ? 'km' : units[row.sport])
}

watchDebounced(search, () => guarded(load), { debounce: 150 })
onMounted(() => guarded(async () => {
  if (!athletes.isLoaded) await athletes.load()
  await load()
}))
</script>

<template>
  <div class="page">
    <div class="top">
      <h1>Shelf</h1>
      <label class="find"><span class="hidden-text">Find by title</span><input v-model="search" class="field" type="search" placeholder="Find by title" data-test="search"></label>
      <NuxtLink class="act first link" to="/desk/new">New session</NuxtLink>
    </div>
    <p v-if="problem" class="said error" role="alert">{{ problem.problem }} <span class="faint">{{ problem.hint }}</span></p>
    <p v-if="removed" class="said note" role="status">
      “{{ removed.title }}” is off the shelf. <button class="plain" data-test="undo" @click="undo">Bring it back</button>
    </p>
    <p v-if="!isLoading && rows.length === 0 && !problem" class="faint">
      <template v-if="search">Nothing is called “{{ search }}”.</template>
      <template v-else>The shelf is empty. What you write at the <NuxtLink to="/desk/new">Desk</NuxtLink> stands here.</template>
    </p>
    <div v-else class="scroll-x">
      <table class="ruled" data-test="shelf">
        <thead><tr><th>Title</th><th class="sport">Sport</th><th class="number">Time</th><th class="number">Distance</th><th class="number wide">Steps</th><th><span class="hidden-text">Actions</span></th></tr></thead>
        <tbody>
          <tr v-for="row in rows" :key="row.id">
            <td class="title"><NuxtLink :to="`/desk/${row.id}`">{{ row.title }}</NuxtLink></td>
            <td class="sport">{{ row.sport }}</td>
            <td class="number">{{ row.seconds === null ? '–' : sayDuration(row.seconds) }}{{ row.open > 0 ? ' +' : '' }}</td>
            <td class="number">{{ way(row) }}</td>
            <td class="number wide">{{ row.steps }}</td>
            <td class="acts">
              <button class="plain" :aria-label="`Copy ${row.title}`" @click="copy(row)">copy</button>
              <button class="plain" :aria-label="`Remove ${row.title}`" @click="remove(row)">remove</button>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="faint foot">
      {{ rows.length }} of {{ total }}. A + beside the time: steps that end by a press are counted by habit.
      <button v-if="rows.length < total" class="plain" @click="guarded(() => load(rows.length))">Show more</button>
    </p>
  </div>
</template>

<style scoped>
.top { display: flex; gap: 16px; align-items: center; flex-wrap: wrap; margin-bottom: 14px; }
.find { flex: 1; }
.find input { width: min(320px, 100%); }
.link { text-decoration: none; display: inline-flex; align-items: center; color: var(--cream); }
.title { min-width: 170px; overflow-wrap: anywhere; }
.acts { white-space: nowrap; text-align: right; }
.acts button + button { margin-left: 12px; }
@media (max-width: 640px) { .sport, .wide { display: none; } }
</style>
