<script setup lang="ts">
import { distanceWords } from '~/shelf/words'
import { sayDuration } from '~~/core/quantity/time'
import type { Listed, Relative, ShelfRow, ShelfSort } from '~~/shared/api'

useHead({ title: 'Shelf · Agonis' })
const athletes = useAthleteStore()
const rows = ref<ShelfRow[]>([])
const total = ref(0)
const route = useRoute()
const search = ref(typeof route.query.find === 'string' ? route.query.find : '')
const sort = ref<ShelfSort>('newest')
const tags = ref<{ tag: string; count: number }[]>([])
const tagging = ref<string | null>(null)
const { problem, isBusy, guarded } = useGuarded()
const removed = ref<{ id: string; title: string } | null>(null)
const isLoading = ref(true)
const file = useTemplateRef<HTMLInputElement>('file')
const pageSize = 100
let asked = 0

async function load(offset = 0) {
  const own = ++asked
  const found = await api<Listed<ShelfRow>>(
    `/sessions?limit=${pageSize}&offset=${offset}&sort=${sort.value}&search=${encodeURIComponent(search.value)}`,
  )
  if (own !== asked) return
  rows.value = offset === 0 ? found.rows : [...rows.value, ...found.rows]
  total.value = found.total
  isLoading.value = false
}
const loadTags = async () => (tags.value = await api<{ tag: string; count: number }[]>('/tags'))

const copy = (row: ShelfRow) =>
  guarded(async () => {
    const made = await api<{ id: string }>(`/sessions/${row.id}/copy`, { method: 'POST', body: {} })
    await navigateTo(`/desk/${made.id}`)
  })
const remove = (row: ShelfRow) =>
  guarded(async () => {
    await api(`/sessions/${row.id}`, { method: 'DELETE' })
    removed.value = { id: row.id, title: row.title }
    await load()
  })
const archive = (row: ShelfRow) =>
  guarded(async () => {
    await api(`/sessions/${row.id}/archive`, { method: 'PUT', body: { archived: !row.isArchived } })
    await load()
  })
/** The family of one row, laid open below its title. */
const family = ref<{ of: string; others: Relative[] } | null>(null)
const showFamily = (row: ShelfRow) =>
  guarded(async () => {
    const isOpen = family.value?.of === row.id
    family.value = isOpen ? null : { of: row.id, others: await relativesOf(row.id) }
  })
const undo = () =>
  guarded(async () => {
    if (!removed.value) return
    await api(`/sessions/${removed.value.id}/restore`, { method: 'POST' })
    removed.value = null
    await load()
  })
const setTags = (row: ShelfRow, wanted: string[]) =>
  guarded(async () => {
    row.tags = (await api<{ tags: string[] }>(`/sessions/${row.id}/tags`, { method: 'PUT', body: { tags: wanted } })).tags
    await loadTags()
  })

const { imported, importedCount, knownCount, refusedFiles, progress, takeIn } = useImport(guarded, load)

const find = (words: string) =>
  (search.value = search.value.split(' ').includes(words)
    ? search.value
        .split(' ')
        .filter(word => word !== words)
        .join(' ')
    : `${search.value} ${words}`.trim())

watchDebounced(search, () => guarded(load), { debounce: 120 })
watch(sort, () => guarded(load))
onMounted(() =>
  guarded(async () => {
    if (!athletes.isLoaded) await athletes.load()
    await Promise.all([load(), loadTags()])
  }),
)
</script>

<template>
  <div class="page">
    <div class="top">
      <h1>Shelf</h1>
      <label class="find"
        ><span class="hidden-text">Find by what is in it</span
        ><input
          v-model="search"
          class="field"
          type="search"
          placeholder="12x300, ride under 1 h with zone 3, swim on send-offs"
          data-test="search"
      /></label>
      <label class="order"
        >in order of
        <select v-model="sort" class="field" data-test="sort">
          <option value="newest">newest change</option>
          <option value="title">title</option>
          <option value="shortest">shortest</option>
          <option value="longest">longest</option>
        </select></label
      >
      <NuxtLink class="act first link" to="/desk/new">New session</NuxtLink>
    </div>
    <p class="narrow">
      <button
        v-for="tag in tags"
        :key="tag.tag"
        class="plain"
        :aria-pressed="search.split(' ').includes(`#${tag.tag}`)"
        @click="find(`#${tag.tag}`)">
        #{{ tag.tag }}<span class="faint"> {{ tag.count }}</span>
      </button>
      <button class="plain" :aria-pressed="search.split(' ').includes('duplicates')" @click="find('duplicates')">same content</button>
      <button class="plain" :aria-pressed="search.split(' ').includes('families')" data-test="families" @click="find('families')">
        families
      </button>
      <button class="plain" :aria-pressed="search.split(' ').includes('archived')" @click="find('archived')">archived</button>
      <span class="files">
        <label class="plain take"
          >take in<input ref="file" type="file" multiple accept=".txt,.json,.zip,.gpx,.csv" data-test="import" @change="takeIn(file)"
        /></label>
        <a href="/api/export" download data-test="export">give out all</a>
      </span>
    </p>
    <p v-if="problem" class="said error" role="alert">
      {{ problem.problem }} <span class="faint">{{ problem.hint }}</span>
    </p>
    <el-progress
      v-if="progress && progress.count > 1"
      :percentage="Math.round((100 * progress.done) / progress.count)"
      :format="() => `${progress?.done} of ${progress?.count}`" />
    <div v-if="imported" class="said" :class="refusedFiles.length > 0 ? 'ask' : 'note'" role="status" data-test="imported">
      {{ importedCount }} {{ importedCount === 1 ? 'session' : 'sessions' }} taken in{{
        knownCount > 0 ? `, ${knownCount} of what is in there ${knownCount === 1 ? 'was' : 'were'} here already` : ''
      }}.
      <template v-if="refusedFiles.length > 0"
        >Not taken in:
        <span v-for="one in refusedFiles.slice(0, 8)" :key="one.file"
          ><br /><span class="mono">{{ one.file }}</span
          >: {{ one.problem }}</span
        ></template
      >
      {{ ' ' }}<button class="plain" @click="imported = null">fine</button>
    </div>
    <p v-if="removed" class="said note" role="status">
      “{{ removed.title }}” is off the shelf. <button class="plain" data-test="undo" @click="undo">Bring it back</button>
    </p>
    <p v-if="!isLoading && rows.length === 0 && !problem" class="faint">
      <template v-if="search">Nothing on the shelf has “{{ search }}” in it.</template>
      <template v-else>The shelf is empty. What you write at the <NuxtLink to="/desk/new">Desk</NuxtLink> stands here.</template>
    </p>
    <div v-else class="scroll-x">
      <table class="ruled" data-test="shelf" :aria-busy="isBusy">
        <thead>
          <tr>
            <th>Title</th>
            <th class="sport">Sport</th>
            <th class="number">Time</th>
            <th class="number">Distance</th>
            <th class="number wide">Steps</th>
            <th><span class="hidden-text">Actions</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.id">
            <td class="title">
              <NuxtLink :to="`/desk/${row.id}`">{{ row.title }}</NuxtLink>
              <span v-if="row.duplicates > 0" class="doubt kin"
                >same content as {{ row.duplicates }} other{{ row.duplicates > 1 ? 's' : '' }}</span
              >
              <button
                v-if="row.variants > 0"
                class="plain kin"
                :aria-expanded="family?.of === row.id"
                :aria-label="`${row.variants} variant${row.variants > 1 ? 's' : ''} of ${row.title}`"
                data-test="variants"
                @click="showFamily(row)">
                {{ row.variants }} variant{{ row.variants > 1 ? 's' : '' }}
              </button>
              <span v-for="tag in row.tags" :key="tag" class="faint kin">#{{ tag }}</span>
              <ul v-if="family?.of === row.id" class="family" data-test="family">
                <li v-for="relative in family.others" :key="relative.id">
                  <NuxtLink :to="`/desk/${relative.id}`">{{ relative.title }}</NuxtLink>{{ ' '
                  }}<span class="faint">{{ relative.seconds === null ? '' : sayDuration(Math.round(relative.seconds)) }}</span>
                </li>
              </ul>
              <SessionCord :cord="row.cord" />
              <TagField v-if="tagging === row.id" :tags="row.tags" @set="wanted => setTags(row, wanted)" />
            </td>
            <td class="sport">{{ row.sport }}</td>
            <td class="number">{{ row.seconds === null ? '–' : sayDuration(Math.round(row.seconds)) }}{{ row.open > 0 ? ' +' : '' }}</td>
            <td class="number">{{ distanceWords(row, athletes.athlete) }}</td>
            <td class="number wide">{{ row.steps }}</td>
            <td class="acts">
              <button class="plain" :aria-label="`Copy ${row.title}`" @click="copy(row)">copy</button>
              <button
                class="plain"
                :aria-label="`Tag ${row.title}`"
                :aria-expanded="tagging === row.id"
                @click="tagging = tagging === row.id ? null : row.id">
                tag
              </button>
              <NuxtLink :to="`/card/${row.id}`" :aria-label="`${row.title} on paper`">paper</NuxtLink>
              <a :href="`/api/sessions/${row.id}/export?as=json`" download :aria-label="`Give out ${row.title}`">give out</a>
              <button class="plain" :aria-label="row.isArchived ? `Bring back ${row.title}` : `Archive ${row.title}`" @click="archive(row)">
                {{ row.isArchived ? 'bring back' : 'archive' }}
              </button>
              <button class="plain" :aria-label="`Remove ${row.title}`" @click="remove(row)">remove</button>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="faint foot">
      {{ rows.length }} of {{ total }}. A + beside the time: steps that end by a press are estimated.
      <button v-if="rows.length < total" class="plain" @click="guarded(() => load(rows.length))">Show more</button>
    </p>
  </div>
</template>

<style scoped>
.top {
  display: flex;
  gap: 16px;
  align-items: center;
  flex-wrap: wrap;
  margin-bottom: 6px;
}
.find {
  flex: 1;
  min-width: 220px;
}
.find input {
  width: min(440px, 100%);
}
.order {
  color: var(--faint);
}
.link {
  text-decoration: none;
  display: inline-flex;
  align-items: center;
  color: var(--cream);
}
.narrow {
  display: flex;
  gap: 4px 16px;
  flex-wrap: wrap;
  align-items: baseline;
  margin: 0 0 12px;
}
.narrow [aria-pressed='true'] {
  font-weight: 700;
  text-decoration-thickness: 2px;
}
.files {
  margin-left: auto;
  display: flex;
  gap: 16px;
  align-items: baseline;
}
.take {
  position: relative;
}
.take input {
  position: absolute;
  inset: 0;
  opacity: 0;
  width: 100%;
  cursor: pointer;
}
.take:focus-within {
  outline: 2px solid var(--focus);
  outline-offset: 2px;
}
.title {
  min-width: 170px;
  overflow-wrap: anywhere;
}
.kin {
  font-size: 0.85rem;
  margin-left: 10px;
  white-space: nowrap;
}
.acts {
  white-space: nowrap;
  text-align: right;
}
.acts * + * {
  margin-left: 12px;
}
@media (max-width: 900px) {
  .acts {
    white-space: normal;
    min-width: 150px;
  }
}
@media (max-width: 640px) {
  .sport,
  .wide,
  thead th:last-child {
    display: none;
  }
  tbody tr {
    display: grid;
    grid-template-columns: 1fr auto auto;
    border-bottom: 1px solid var(--rule);
  }
  tbody td {
    border-bottom: 0;
    padding-bottom: 2px;
  }
  thead tr {
    display: grid;
    grid-template-columns: 1fr auto auto;
  }
  .acts {
    grid-column: 1 / -1;
    text-align: left;
  }
  .acts * + * {
    margin-left: 12px;
  }
}
.family {
  list-style: none;
  margin: 2px 0 2px 14px;
  padding: 0;
  font-size: 0.93rem;
}
</style>
