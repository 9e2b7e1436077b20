<script setup lang="ts">
import { unpackSession } from '~~/core/exchange/passed-link'
import { readScript } from '~~/core/script/reader/read-script'
import { titleOf } from '~~/core/script/title'
import type { Session } from '~~/core/session/document'
import { passedSession as texts } from '~/texts/en'

/** The session that a link carries, to be kept or taken to the Desk. */
const props = defineProps<{ link: string }>()
const emit = defineEmits<{ read: [title: string | null] }>()
const athletes = useAthleteStore()
const handover = useHandoverStore()
const dates = useDates()
const { problem, isBusy, guarded } = useGuarded()
const passed = computed(() => unpackSession(props.link))
const sessions = computed(() => (passed.value ? readScript(passed.value.script, athletes.standpoint).sessions : []))
watch(sessions, ([first]) => emit('read', first ? titleOf(first as Session) : null), { immediate: true })
const keep = () =>
  guarded(async () => {
    await navigateTo(`/desk/${await keepNewSession(passed.value!.script)}`)
  })
</script>

<template>
  <div v-if="passed && sessions.length > 0">
    <p class="faint">
      {{ texts.somebodyPassed }}<template v-if="passed.day">{{ texts.carriedOutOn(dates.day(passed.day, { year: true })) }}</template>
    </p>
    <blockquote v-if="passed.message" data-test="passed-message">{{ passed.message }}</blockquote>
    <pre class="mono" tabindex="0" :aria-label="texts.theSession" data-test="passed">{{ passed.script }}</pre>
    <p class="acts">
      <el-button type="primary" :disabled="isBusy" data-test="passed-keep" @click="keep">{{ texts.keepIt }}</el-button>
      <el-button :disabled="isBusy" @click="handover.toDesk(passed!.script, '/desk/new')">{{ texts.atTheDesk }}</el-button>
    </p>
    <p class="faint">{{ texts.howToAnswer }}</p>
    <ProblemAlert :problem="problem" />
  </div>
  <p v-else class="said error" role="alert">{{ texts.carriesNone }}</p>
</template>

<style scoped>
pre {
  background: var(--paper);
  border: 1px solid var(--rule);
  padding: 10px 14px;
  overflow: auto;
}
blockquote {
  border-left: 4px solid var(--clay-2);
  margin: 10px 0;
  padding: 2px 12px;
  white-space: pre-wrap;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
}
</style>
