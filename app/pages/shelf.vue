<script setup lang="ts">
import type { FoundSessions, Relative, ShelfRow, ShelfSort } from '~~/shared/api'
import { shelfPage as texts } from '~/texts/en'

useHead({ title: 'Shelf · Agonis' })
const athletes = useAthleteStore()
const rows = ref<ShelfRow[]>([])
const total = ref(0)
const how = ref('')
const near = ref<ShelfRow[]>([])
const route = useRoute()
const search = ref(typeof route.query.find === 'string' ? route.query.find : '')
const sort = ref<ShelfSort>('newest')
const tags = ref<{ tag: string; count: number }[]>([])
const { problem, isBusy, guarded } = useGuarded()
const removed = ref<{ id: string; title: string } | null>(null)
const isLoading = ref(true)
const pageSize = 100
const asking = useLastAsked()

async function load(offset = 0) {
  const isLast = asking()
  const found = await api<FoundSessions>(
    `/sessions?limit=${pageSize}&offset=${offset}&sort=${sort.value}&search=${encodeURIComponent(search.value)}`,
  )
  if (!isLast()) return
  how.value = found.how
  near.value = found.near
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

const { imported, importedCount, knownCount, refusedFiles, progress, takeFiles } = useImport(guarded, load)
const { open: chooseFiles, onChange } = useFileDialog({ multiple: true, reset: true, accept: '.txt,.json,.zip,.gpx,.csv' })
onChange(files => void takeFiles([...(files ?? [])]))

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
      <h1>{{ texts.shelf }}</h1>
      <label class="find"
        ><span class="hidden-text">{{ texts.findByWhatIs }}</span
        ><el-input v-model="search" type="search" :placeholder="texts.n12x300RideUnder1" data-test="search"
      /></label>
      <label class="order"
        >{{ texts.inOrderOf }}
        <el-select v-model="sort" data-test="sort">
          <el-option value="newest" :label="texts.newestChange" />
          <el-option value="title" :label="texts.title" />
          <el-option value="shortest" :label="texts.shortest" />
          <el-option value="longest" :label="texts.longest" /> </el-select
      ></label>
      <NuxtLink class="act first link" to="/desk/new">{{ texts.newSession }}</NuxtLink>
    </div>
    <p class="narrow">
      <el-button
        v-for="tag in tags"
        :key="tag.tag"
        link
        type="primary"
        :aria-pressed="search.split(' ').includes(`#${tag.tag}`)"
        @click="find(`#${tag.tag}`)">
        #{{ tag.tag }}<span class="faint"> {{ tag.count }}</span>
      </el-button>
      <el-button link type="primary" :aria-pressed="search.split(' ').includes('duplicates')" @click="find('duplicates')">{{
        texts.sameContent
      }}</el-button>
      <el-button link type="primary" :aria-pressed="search.split(' ').includes('families')" data-test="families" @click="find('families')">
        {{ texts.families }}
      </el-button>
      <el-button link type="primary" :aria-pressed="search.split(' ').includes('archived')" @click="find('archived')">{{
        texts.archived
      }}</el-button>
      <span class="files">
        <el-button link type="primary" data-test="import" @click="chooseFiles()">{{ texts.import }}</el-button>
        <a href="/api/export" download data-test="export">{{ texts.exportAll }}</a>
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
      {{
        texts.takenIn(
          importedCount,
          importedCount === 1 ? texts.session : texts.sessions,
          knownCount > 0 ? texts.ofWhatIsIn(knownCount, knownCount === 1 ? texts.was : texts.were) : '',
        )
      }}
      <template v-if="refusedFiles.length > 0"
        >{{ texts.notTakenIn }}
        <span v-for="one in refusedFiles.slice(0, 8)" :key="one.file"
          ><br /><span class="mono">{{ one.file }}</span
          >: {{ one.problem }}</span
        ></template
      >
      {{ ' ' }}<el-button link type="primary" @click="imported = null">{{ texts.fine }}</el-button>
    </div>
    <p v-if="removed" class="said note" role="status">
      {{ texts.isOffTheShelf(removed.title) }}
      <el-button link type="primary" data-test="undo" @click="undo">{{ texts.bringItBack }}</el-button>
    </p>
    <p v-if="search && how && rows.length > 0" class="faint how" data-test="how">{{ texts.found(total, how) }}</p>
    <p v-if="!isLoading && rows.length === 0 && !problem" class="faint">
      <template v-if="search"
        >{{ texts.nothingOnTheShelf }}<template v-if="how">{{ texts.lookedFor(how) }}</template
        >.<template v-if="near.length > 0">
          {{ texts.nearIt }}
          <template v-for="(row, index) in near" :key="row.id"
            >{{ index > 0 ? ', ' : '' }}<NuxtLink :to="`/desk/${row.id}`">{{ row.title }}</NuxtLink></template
          >.</template
        ></template
      >
      <template v-else
        >{{ texts.theShelfIsEmpty }} <NuxtLink to="/desk/new">{{ texts.desk }}</NuxtLink> {{ texts.standsHere }}</template
      >
    </p>
    <ol v-else class="rows" data-test="shelf" :aria-busy="isBusy">
      <ShelfRowItem
        v-for="row in rows"
        :key="row.id"
        :row="row"
        :family="family?.of === row.id ? family.others : null"
        @copy="copy(row)"
        @archive="archive(row)"
        @remove="remove(row)"
        @family="showFamily(row)"
        @tags="(wanted: string[]) => setTags(row, wanted)" />
    </ol>
    <Waiting v-if="isLoading" :words="texts.lookingOnTheShelf" />
    <p v-else-if="rows.length > 0" class="faint foot">
      {{ texts.ofABesideThe(rows.length, total) }}
      <el-button v-if="rows.length < total" link type="primary" @click="guarded(() => load(rows.length))">{{ texts.showMore }}</el-button>
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
.find .el-input {
  width: min(440px, 100%);
}
.order {
  color: var(--faint);
  display: flex;
  gap: 8px;
  align-items: center;
  white-space: nowrap;
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
.rows {
  list-style: none;
  margin: 0;
  padding: 0;
  border-top: 2px solid var(--slip);
}
</style>
