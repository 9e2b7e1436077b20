<script setup lang="ts">
import { diffSessions } from '~~/core/edit/diff'
import { coverText } from '~~/core/script/reader/coverage'
import { readScript } from '~~/core/script/reader/read-script'
import type { Session } from '~~/core/session/document'
import { deskSourceDrawer as texts } from '~/texts/en'

const props = defineProps<{ source: string; session: Session | null; selected: string | null }>()
const emit = defineEmits<{ choose: [path: string]; drop: [] }>()

const athletes = useAthleteStore()
const reading = computed(() => readScript(props.source, athletes.standpoint, props.session?.sport ? { sport: props.session.sport } : {}))
/** Which row of the sheet each row of the source has become, by session and path. */
const became = computed(() => {
  const links = new Map<string, string>()
  if (!props.session) return links
  reading.value.sessions.forEach((session, index) => {
    for (const row of diffSessions(session, props.session!).rows) {
      if (row.change === 'same' || row.change === 'changed') links.set(`${index}/${row.before.path}`, row.after.path)
    }
  })
  return links
})
const lines = computed(() => {
  const segments = coverText(props.source, reading.value)
  return props.source
    .split('\n')
    .map((_, index) =>
      segments
        .filter(segment => segment.line === index + 1)
        .map(segment => ({
          ...segment,
          became: segment.path === undefined ? undefined : became.value.get(`${segment.session}/${segment.path}`),
        })),
    )
})
const isChosen = (path: string | undefined) =>
  path !== undefined &&
  props.selected !== null &&
  (props.selected === path || props.selected.startsWith(`${path}.`) || path.startsWith(`${props.selected}.`))
const leftOver = computed(() => lines.value.flat().filter(segment => segment.kind === 'left-over').length)
</script>

<template>
  <section class="drawer" :aria-label="texts.asItWasPasted">
    <p class="head">
      <strong>{{ texts.asItWasPasted }}</strong>
      <span class="faint">{{
        leftOver === 0 ? texts.everyWordBecameA : texts.becameNoRowUnderlined(leftOver, leftOver === 1 ? texts.part : texts.parts)
      }}</span>
      <el-button link type="primary" @click="emit('drop')">{{ texts.letItGo }}</el-button>
    </p>
    <div class="words mono">
      <p v-for="(line, index) in lines" :key="index">
        <template v-for="segment in line" :key="segment.column">
          <button v-if="segment.became" class="word" :class="{ chosen: isChosen(segment.became) }" @click="emit('choose', segment.became)">
            {{ segment.text }}
          </button>
          <span v-else :class="segment.kind">{{ segment.text }}</span>
        </template>
      </p>
    </div>
  </section>
</template>

<style scoped>
.drawer {
  border-top: 1px solid var(--rule);
  padding: 6px 22px 8px 0;
  max-height: 30%;
  overflow: auto;
  flex: none;
}
.head {
  margin: 0 0 4px;
  font-size: 0.92rem;
  display: flex;
  gap: 10px;
  align-items: baseline;
}
.head button {
  margin-left: auto;
}
.words p {
  margin: 0;
  white-space: pre-wrap;
  min-height: 1.4em;
  font-size: 0.875rem;
}
.word {
  background: none;
  border: 0;
  border-bottom: 1.5px solid var(--clay-2);
  padding: 0;
  font: inherit;
  color: inherit;
  cursor: pointer;
  white-space: pre-wrap;
  text-align: left;
}
.word.chosen {
  background: var(--lit);
  border-bottom-color: var(--clay-4);
}
.left-over {
  text-decoration: underline wavy var(--ochre-line) 1.5px;
  text-underline-offset: 4px;
}
.header,
.note,
.separator {
  color: var(--faint);
}
</style>
