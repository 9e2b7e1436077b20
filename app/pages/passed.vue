<script setup lang="ts">
import { unpackSession } from '~~/core/exchange/passed-link'
import { readScript } from '~~/core/script/reader/read-script'
import { titleOf } from '~~/core/script/title'
import type { Session } from '~~/core/session/document'
import { passedPage as texts } from '~/texts/en'

/** A session that came in a link: the link carries it, no server was asked for it. */
const athletes = useAthleteStore()
const handover = useHandoverStore()
const dates = useDates()
const route = useRoute()
const { problem, isBusy, guarded } = useGuarded()
const pasted = ref('')
const link = computed(() => pasted.value.trim() || route.hash)
const passed = computed(() => unpackSession(link.value))
const sessions = computed(() => (passed.value ? readScript(passed.value.script, athletes.standpoint).sessions : []))
const title = computed(() => (sessions.value[0] ? titleOf(sessions.value[0] as Session) : texts.passedOn))
useHead({ title: () => texts.agonis(title.value) })
const keep = () =>
  guarded(async () => {
    await navigateTo(`/desk/${await keepNewSession(passed.value!.script)}`)
  })
</script>

<template>
  <div class="page">
    <h1>{{ title }}</h1>
    <template v-if="passed && sessions.length > 0">
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
    </template>
    <template v-else>
      <p v-if="link" class="said error" role="alert">{{ texts.carriesNone }}</p>
      <label>{{ texts.pasteALink }} <el-input v-model="pasted" :placeholder="texts.likeThis" data-test="paste-link" /> </label>
    </template>
    <ProblemAlert :problem="problem" />
  </div>
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
