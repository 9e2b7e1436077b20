<script setup lang="ts">
import type { Listed, ShelfRow } from '~~/shared/api'
import { shelfPick as texts } from '~/texts/en'

/** A session of the shelf, found by its words and taken. */
const props = defineProps<{ sport?: string; atMost: number; isBusy?: boolean }>()
const emit = defineEmits<{ pick: [id: string] }>()
const search = ref('')
const found = ref<ShelfRow[] | null>(null)
const { problem, guarded } = useGuarded()
const look = () =>
  guarded(async () => {
    const { rows } = await api<Listed<ShelfRow>>(`/sessions?limit=${props.atMost}&search=${encodeURIComponent(search.value)}`)
    found.value = rows.filter(row => props.sport === undefined || row.sport === props.sport)
  })
watchDebounced(search, look, { debounce: 120 })
onMounted(look)
</script>

<template>
  <div class="pick-one">
    <el-input v-model="search" type="search" :placeholder="texts.findOnThe" :aria-label="texts.findOnTheShelf" data-test="put-search" />
    <p v-for="session in found ?? []" :key="session.id">
      <el-button text class="pick" :disabled="isBusy" data-test="pick" @click="emit('pick', session.id)"
        ><SessionBrief :row="session"
      /></el-button>
    </p>
    <p v-if="found?.length === 0" class="faint">{{ texts.nothingOnTheShelf }}</p>
    <ProblemAlert :problem="problem" />
  </div>
</template>

<style scoped>
.pick-one {
  display: grid;
  gap: 8px;
  justify-items: start;
  width: 100%;
}
p {
  margin: 0;
  width: 100%;
}
.pick {
  width: min(640px, 100%);
  height: auto;
  padding: 4px;
}
.pick :deep(> span) {
  width: 100%;
}
.el-input {
  max-width: 420px;
}
</style>
