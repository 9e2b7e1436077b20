<script setup lang="ts">
import { lineCountsBetween } from '~/desk/line-counts'
import type { Wording } from '~~/shared/api'
import { deskWordings as texts } from '~/texts/en'

/** Earlier wordings of the session: seen, and brought back as a change that can be undone. */
const props = defineProps<{ id: string; now: string; ready: () => Promise<boolean> }>()
const emit = defineEmits<{ take: [script: string] }>()
const dates = useDates()
const { problem, guarded } = useGuarded()
const wordings = ref<Wording[] | null>(null)
const shown = ref<number | null>(null)
const isMore = ref(false)
const pageOf = 50

const load = () =>
  guarded(async () => {
    await props.ready()
    const before = wordings.value?.at(-1)?.number
    const page = await api<Wording[]>(`/sessions/${props.id}/revisions${before ? `?before=${before}` : ''}`)
    wordings.value = [...(wordings.value ?? []), ...page]
    isMore.value = page.length === pageOf
  })
const close = () => (wordings.value = null)
const earlier = computed(() => (wordings.value ?? []).filter(({ script }) => script !== props.now))
const sayChange = (script: string) => {
  const { added, gone } = lineCountsBetween(script, props.now)
  return added + gone === 0 ? texts.sameRows : texts.sinceThenAddedGone(added, gone)
}
function take(script: string) {
  emit('take', script)
  close()
}
</script>

<template>
  <section :aria-label="texts.earlierWordings">
    <ProblemAlert :problem="problem" />
    <el-button :aria-expanded="wordings !== null" data-test="wordings" @click="wordings === null ? load() : close()">
      {{ texts.earlierWordings }}
    </el-button>
    <p v-if="wordings && earlier.length === 0" class="faint">{{ texts.thereIsNoEarlier }}</p>
    <ol v-if="wordings" class="wordings">
      <li v-for="wording in earlier" :key="wording.number" data-test="wording">
        <el-button
          link
          type="primary"
          :aria-expanded="shown === wording.number"
          @click="shown = shown === wording.number ? null : wording.number">
          {{ dates.momentOf(wording.createdAt) }}
        </el-button>
        <span class="faint"> {{ sayChange(wording.script) }}</span>
        <template v-if="shown === wording.number">
          <pre class="mono">{{ wording.script }}</pre>
          <el-button data-test="take-wording" @click="take(wording.script)">{{ texts.bringThisOneBack }}</el-button>
        </template>
      </li>
    </ol>
    <el-button v-if="wordings && isMore" link type="primary" @click="load">{{ texts.olderOnes }}</el-button>
  </section>
</template>

<style scoped>
.wordings {
  list-style: none;
  margin: 6px 0;
  padding: 0;
  font-size: 0.93rem;
}
.wordings li {
  padding: 3px 0;
  border-bottom: 1px solid var(--rule);
}
pre {
  margin: 4px 0 6px;
  padding: 6px 8px;
  border: 1px solid var(--rule);
  overflow-x: auto;
  max-height: 240px;
  font-size: 0.88rem;
}
</style>
