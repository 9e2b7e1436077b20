<script setup lang="ts">
import { sayToTheMinute } from '~~/core/quantity/time'
import type { ShelfRow } from '~~/shared/api'
import { sessionBrief as texts } from '~/texts/en'

/** One session where one of several is to be chosen: enough to tell two of one name apart. */
const props = defineProps<{ row: Pick<ShelfRow, 'title' | 'sport' | 'seconds' | 'cord' | 'tags' | 'updatedAt'> }>()
const dates = useDates()
const facts = computed(() =>
  [
    props.row.sport,
    props.row.seconds === null ? '' : sayToTheMinute(props.row.seconds),
    ...props.row.tags.map(tag => `#${tag}`),
    texts.changed(dates.dayOf(props.row.updatedAt)),
  ]
    .filter(Boolean)
    .join(', '),
)
</script>

<template>
  <span class="brief">
    <span class="what">{{ row.title }}</span>
    <SessionCord :cord="row.cord" :width="160" />
    <small class="faint">{{ facts }}</small>
  </span>
</template>

<style scoped>
.brief {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 160px;
  gap: 0 12px;
  align-items: center;
  text-align: left;
  width: 100%;
  line-height: 1.3;
}
.what {
  overflow-wrap: anywhere;
  white-space: normal;
}
.brief .cord {
  grid-row: span 2;
}
@media (max-width: 640px) {
  .brief {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
