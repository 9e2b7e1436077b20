<script setup lang="ts">
import { logTakeIn as texts } from '~/texts/en'

/** Recordings of other devices and programs, by file: chosen, or dropped anywhere on the page that this stands on. */
const props = defineProps<{ page: HTMLElement | null }>()
const emit = defineEmits<{ kept: [] }>()
const { results, progress, take, cancel } = useTakeRecordings(() => Promise.resolve(emit('kept')))
const { open, onChange } = useFileDialog({ multiple: true, reset: true, accept: '.gpx,.csv,.json,.zip' })
onChange(files => void take([...(files ?? [])]))
const { isOverDropZone } = useDropZone(
  computed(() => props.page),
  { onDrop: files => void take([...(files ?? [])]), preventDefaultForUnhandled: true },
)
const taken = computed(() => results.value?.flatMap(one => one.taken) ?? [])
const isNew = (one: (typeof taken.value)[number]) => !one.isKnown && !one.copyOf
const summary = computed(() => {
  const count = (of: (one: (typeof taken.value)[number]) => boolean) => taken.value.filter(of).length
  const copies = count(one => one.copyOf !== null && !one.isKnown)
  const known = count(one => one.isKnown)
  return [
    texts.takenIn(count(isNew)),
    ...(known > 0 ? [texts.wereHere(known)] : []),
    ...(copies > 0 ? [texts.putAside(copies)] : []),
    ...(refused.value.length > 0 ? [texts.refused(refused.value.length)] : []),
  ].join(' ')
})
const refused = computed(() => results.value?.filter(one => one.problem) ?? [])
const remarked = computed(() => results.value?.filter(one => !one.problem && one.said.length > 0) ?? [])
const shownAtOnce = 12
const share = computed(() => {
  const { done, count, share: part } = progress.value ?? { done: 0, count: 1, share: 0 }
  return Math.min(100, Math.round((100 * (done + part)) / Math.max(1, count)))
})
defineExpose({ open })
</script>

<template>
  <div class="take-in" data-test="take-in">
    <p v-if="isOverDropZone" class="said note">{{ texts.letGo }}</p>
    <p v-if="progress" class="going" role="status">
      <span>{{ texts.reading(progress.done, progress.count) }}</span>
      <el-progress :percentage="share" :show-text="false" class="bar" :aria-label="texts.progress" />
      <el-button data-test="cancel" @click="cancel">{{ texts.cancel }}</el-button>
    </p>
    <div v-else-if="results" class="said" :class="refused.length > 0 ? 'ask' : 'note'" role="status" data-test="taken">
      {{ summary }}
      <ul v-if="refused.length + remarked.length > 0">
        <li v-for="(one, index) in refused.slice(0, shownAtOnce)" :key="`r${index}`">
          <span class="mono">{{ one.file }}</span>: {{ one.problem }}
        </li>
        <li v-for="(one, index) in remarked.slice(0, shownAtOnce)" :key="`n${index}`">
          <NuxtLink v-if="one.taken[0] && isNew(one.taken[0])" :to="`/log/${one.taken[0].id}`" class="mono">{{ one.file }}</NuxtLink><span
            v-else
            class="mono"
            >{{ one.file }}</span
          >: {{ one.said.join('; ') }}
        </li>
        <li v-if="refused.length > shownAtOnce || remarked.length > shownAtOnce" class="faint">{{ texts.andMore }}</li>
      </ul>
      <el-button link type="primary" @click="results = null">{{ texts.fine }}</el-button>
    </div>
  </div>
</template>

<style scoped>
.going {
  display: flex;
  gap: 8px 16px;
  align-items: center;
  flex-wrap: wrap;
}
.bar {
  flex: 1;
  min-width: 140px;
}
ul {
  margin: 6px 0;
  padding-left: 18px;
}
li {
  overflow-wrap: anywhere;
}
</style>
